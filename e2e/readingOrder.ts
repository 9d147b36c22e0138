import type { CDPSession, Page } from '@playwright/test';

type Box = readonly [x: number, y: number, width: number, height: number];

interface Drawn {
  parentIndex?: number[] | undefined;
  nodeName?: number[] | undefined;
  backendNodeId?: number[] | undefined;
}

/** What of a box is in sight inside of another; null: nothing. */
const within = ([x, y, width, height]: Box, [ox, oy, owidth, oheight]: Box): Box | null => {
  const [left, top] = [Math.max(x, ox), Math.max(y, oy)];
  const [right, bottom] = [Math.min(x + width, ox + owidth), Math.min(y + height, oy + oheight)];
  return right - left > 1 && bottom - top > 1 ? [left, top, right - left, bottom - top] : null;
};

/** Where each node is in sight, by its number; what has scrolled away, and the letters inside of drawings, are not. */
const boxesInSight = async (cdp: CDPSession): Promise<Map<number, Box>> => {
  const { documents, strings } = await cdp.send('DOMSnapshot.captureSnapshot', {
    computedStyles: ['overflow-y'],
  });
  const [page] = documents;
  if (!page) return new Map();
  const { parentIndex = [], nodeName = [], backendNodeId = [] } = page.nodes as Drawn;
  const layouts = new Map<number, { box: Box; isScroller: boolean }>();
  page.layout.nodeIndex.forEach((node, index) => {
    const [x = 0, y = 0, width = 0, height = 0] = page.layout.bounds[index] ?? [];
    const overflow = strings[page.layout.styles[index]?.[0] ?? -1] ?? '';
    layouts.set(node, { box: [x, y, width, height], isScroller: /auto|scroll|hidden/.test(overflow) });
  });
  const inSight = (node: number): Box | null => {
    let box = layouts.get(node)?.box ?? null;
    for (let above = parentIndex[node] ?? -1; box && above >= 0; above = parentIndex[above] ?? -1) {
      if (strings[nodeName[above] ?? -1]?.toLowerCase() === 'svg') return null;
      const layout = layouts.get(above);
      if (layout?.isScroller) box = within(box, layout.box);
    }
    return box;
  };
  const boxes = new Map<number, Box>();
  for (const node of layouts.keys()) {
    const [id, box] = [backendNodeId[node], inSight(node)];
    if (id !== undefined && box) boxes.set(id, box);
  }
  return boxes;
};

/** What the accessibility tree reads out in turn and is in sight, with where it stands in CSS pixels. */
const readInTurn = async (page: Page): Promise<{ text: string; box: Box }[]> => {
  const cdp = await page.context().newCDPSession(page);
  const { nodes } = await cdp.send('Accessibility.getFullAXTree');
  const boxes = await boxesInSight(cdp);
  await cdp.detach();
  const byId = new Map(nodes.map((node) => [node.nodeId, node]));
  const walk = (nodeId: string): { text: string; box: Box }[] => {
    const node = byId.get(nodeId);
    // What is told as it happens is read when it does.
    const isLive = node?.properties?.some(({ name, value }) => name === 'live' && value.value !== 'off');
    if (!node || isLive) return [];
    const inside = (node.childIds ?? []).flatMap(walk);
    const text = String(node.name?.value ?? '').trim();
    const box = boxes.get(node.backendDOMNodeId ?? -1);
    const isRead =
      inside.length === 0 && !node.ignored && text !== '' && node.role?.value !== 'InlineTextBox';
    return isRead && box ? [{ text, box }] : inside;
  };
  const [root] = nodes;
  return root ? walk(root.nodeId) : [];
};

/**
 * What is read out after something that stands below it, in the same column: none.
 */
export const outOfOrder = async (page: Page): Promise<string[]> => {
  const read = await readInTurn(page);
  return read.slice(1).flatMap(({ text, box: [x, y, width, height] }, index) => {
    const before = read[index];
    if (!before) return [];
    const [bx, by, bwidth] = before.box;
    const isAbove = y + height <= by + 1;
    const isInColumn = x < bx + bwidth && bx < x + width;
    return isAbove && isInColumn ? [`“${text}” is read after “${before.text}”, and stands above it`] : [];
  });
};
