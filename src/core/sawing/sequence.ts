import type { Degrees, Ticks } from '../units';
import type { Ends, Layout, Remainder, SawCut, Sequence } from '../cutting/model';
import { withFewestSetups } from './setups';
import {
  along,
  isNear,
  isSameRegion,
  isSameSide,
  leftOf,
  moved,
  NEAR,
  rightOf,
  targetsOf,
  type Region,
  type Side,
  type Target,
} from './regions';

/** What of a layout its sequence follows from. */
type Sawn = Pick<Layout, 'kind' | 'length' | 'width' | 'pieces' | 'offcuts' | 'storeCuts'>;

/**
 * The saw's work on one board of a layout, cut by cut, so that its pieces and offcuts are left: what the store saws first, then
 * an end squared, strips before what is in them, and cuts of one setting one after the other where that can be. `kerf` in ticks.
 */
export const sequenceOf = (layout: Sawn, kerf: Ticks): Sequence => {
  const saw = new Sawing(layout, kerf);
  saw.start();
  return { cuts: withFewestSetups(saw.cuts), leaves: saw.leaves };
};

/** Takes a board apart, region by region, and writes down each cut. */
class Sawing {
  readonly cuts: SawCut[] = [];
  readonly leaves: Record<number, Remainder> = {};
  private last = 0;

  constructor(
    private readonly layout: Sawn,
    private readonly kerf: Ticks,
  ) {}

  start(): void {
    const { length, width, storeCuts } = this.layout;
    let rest: Rest = { id: 0, region: { bottom: 0, top: width, left: [0, 0], right: [length, length] } };
    let targets = targetsOf(this.layout);
    for (const { kind, at } of [...storeCuts].sort((a, b) => a.at - b.at)) {
      if (rest.id === null) break;
      const { low, high } =
        kind === 'rip'
          ? this.rip(rest.id, rest.region, at, true)
          : this.crosscut(rest.id, rest.region, this.sideAt(at, targets), { isStore: true });
      const isBefore = (target: Region) => (kind === 'rip' ? target.top : rightOf(target)) <= at + NEAR;
      this.take(low, targets.filter(isBefore));
      targets = targets.filter((target) => !isBefore(target));
      rest = high;
    }
    this.take(rest, targets);
  }

  /** Where the store cuts across: between nested slants it turns the saw as they lie. */
  private sideAt(at: Ticks, targets: Target[]): Side {
    const isClear = targets.every((target) => rightOf(target) <= at || leftOf(target) >= at + this.kerf);
    const slanted = targets.find((target) => rightOf(target) === at);
    return isClear || !slanted ? [at, at] : slanted.right;
  }

  /** Cuts all of `targets` out of what is left. */
  private take({ id, region }: Rest, targets: Target[]): void {
    if (id === null) return;
    const [only, ...others] = targets;
    if (!only) return void (this.leaves[id] = 'waste');
    if (others.length === 0 && isSameRegion(only, region)) return void (this.leaves[id] = only.is);
    const bounds = boundsOf(targets);
    if (bounds.top < region.top - NEAR) return this.shareOut(this.rip(id, region, bounds.top), targets, []);
    if (bounds.bottom > region.bottom + NEAR)
      return this.shareOut(this.rip(id, region, bounds.bottom - this.kerf), [], targets);
    if (targets.every(({ bottom, top }) => isNear(bottom, region.bottom) && isNear(top, region.top)))
      return this.takeRow(id, region, targets);
    this.part(id, region, targets, bounds);
  }

  /** Cuts on on both sides of a cut; where there is no target is waste. */
  private shareOut({ low, high }: Parted, before: Target[], after: Target[]): void {
    this.take(low, before);
    this.take(high, after);
  }

  /** Parts a region between targets by a cut clean through: a whole board into strips first, a strip into lengths. */
  private part(id: number, region: Region, targets: Target[], bounds: Region): void {
    const { length, width } = this.layout;
    const isWhole =
      isNear(rightOf(region) - leftOf(region), length) || isNear(region.top - region.bottom, width);
    const [strip = [], ...strips] = groupsAlong(targets, 'y', this.kerf);
    const [segment = [], ...segments] = groupsAlong(targets, 'x', this.kerf);
    if (strips.length > 0 && (isWhole || segments.length === 0))
      return this.shareOut(this.rip(id, region, boundsOf(strip).top), strip, strips.flat());
    const left = leftOf(bounds);
    if (left > leftOf(region) + NEAR) {
      const at = left - this.kerf;
      return this.shareOut(this.crosscut(id, region, [at, at], { isEnd: true }), [], targets);
    }
    // What no saw can part is left unnamed, for the checker to find.
    if (segments.length === 0) return;
    const at = rightOf(boundsOf(segment));
    this.shareOut(this.crosscut(id, region, [at, at]), segment, segments.flat());
  }

  /** Cuts targets that are as wide as their region from it, from the left: slanted where their ends are. */
  private takeRow(id: number, region: Region, targets: Target[]): void {
    const row = [...targets].sort((a, b) => middleOf(a) - middleOf(b));
    let rest: Rest = { id, region };
    // An end that is cut across the thickness is drawn square: the cut that slants it is made all the same.
    let isBevelThere = false;
    for (const target of row) {
      if (rest.id === null) return;
      const isBevelled = this.bevelOf(target, true) > 0 && !isBevelThere;
      if (isBevelled || !isSameSide(rest.region.left, target.left)) {
        const at = moved(target.left, -along(this.kerf, target.left, region));
        const { low, high } = this.crosscut(rest.id, rest.region, at, { isEnd: true, target });
        this.take(low, []);
        rest = { id: high.id, region: { ...high.region, left: target.left } };
      }
      if (rest.id === null) return;
      isBevelThere = this.bevelOf(target, false) > 0;
      if (!isBevelThere && isSameSide(rest.region.right, target.right)) {
        this.leaves[rest.id] = target.is;
        return;
      }
      const { low, high } = this.crosscut(rest.id, rest.region, target.right, { target });
      if (low.id !== null) this.leaves[low.id] = target.is;
      rest = high;
    }
    this.take(rest, []);
  }

  private next(): number {
    return ++this.last;
  }

  private rip(from: number, region: Region, at: number, isStore = false): Parted {
    const { bottom, top } = region;
    const [x0, x1] = [leftOf(region), rightOf(region)];
    const before = at - bottom > NEAR ? this.next() : null;
    const after = top - at - this.kerf > NEAR ? this.next() : null;
    this.cuts.push({
      from,
      kind: 'rip',
      line: [
        [x0, at],
        [x1, at],
      ],
      to: [before, after],
      setup: { tool: 'fence', fence: Math.max(0, at - bottom) },
      ...(isStore ? { store: true as const } : {}),
    });
    return {
      low: { id: before, region: { ...region, top: at } },
      high: { id: after, region: { ...region, bottom: at + this.kerf } },
    };
  }

  private crosscut(
    from: number,
    region: Region,
    at: Side,
    { isStore = false, isEnd = false, target }: { isStore?: boolean; isEnd?: boolean; target?: Target } = {},
  ): Parted {
    const { bottom, top, left, right } = region;
    const beyond = moved(at, along(this.kerf, at, region));
    const isLeft = (a: Side, b: Side) => b[0] - a[0] > NEAR || b[1] - a[1] > NEAR;
    const before = isLeft(left, at) ? this.next() : null;
    const after = isLeft(beyond, right) ? this.next() : null;
    const angle = degrees(Math.atan2(Math.abs(at[1] - at[0]), top - bottom));
    const bevel = this.bevelOf(target, isEnd);
    const stop = Math.max(at[0] - left[0], at[1] - left[1]);
    this.cuts.push({
      from,
      kind: 'crosscut',
      line: [
        [at[0], bottom],
        [at[1], top],
      ],
      to: [before, after],
      setup: isEnd ? { tool: 'end', angle, bevel } : { tool: 'stop', stop, angle, bevel },
      ...(isStore ? { store: true as const } : {}),
    });
    return {
      low: { id: before, region: { ...region, right: at } },
      high: { id: after, region: { ...region, left: beyond } },
    };
  }

  /** How far the blade is tilted for an end of a piece that is cut across its thickness; of one slanted end, for the far one. */
  private bevelOf(target: Target | undefined, isNearEnd: boolean): Degrees {
    const ends: Ends | undefined =
      typeof target?.is === 'number' ? this.layout.pieces[target.is]?.ends : undefined;
    if (!ends || ends.shape === 'square' || ends.across !== 'edge') return 0;
    return isNearEnd && ends.shape === 'one' ? 0 : ends.angle;
  }
}

/** What is left on a side of a cut; null: nothing. */
interface Rest {
  id: number | null;
  region: Region;
}

/** What a cut makes of a region: before its line, and beyond its kerf. */
interface Parted {
  low: Rest;
  high: Rest;
}

const degrees = (radians: number): Degrees => Math.round((radians * 1800) / Math.PI) / 10;

const middleOf = ({ left, right }: Region): number => left[0] + left[1] + right[0] + right[1];

const boundsOf = (targets: Region[]): Region => {
  const [x0, x1] = [Math.min(...targets.map(leftOf)), Math.max(...targets.map(rightOf))];
  return {
    bottom: Math.min(...targets.map(({ bottom }) => bottom)),
    top: Math.max(...targets.map(({ top }) => top)),
    left: [x0, x0],
    right: [x1, x1],
  };
};

/** Targets in groups that a cut clean through can part, in their order along an axis. */
const groupsAlong = (targets: Target[], axis: 'x' | 'y', kerf: Ticks): Target[][] => {
  const from = (target: Region) => (axis === 'x' ? leftOf(target) : target.bottom);
  const to = (target: Region) => (axis === 'x' ? rightOf(target) : target.top);
  const groups: Target[][] = [];
  let reached = -Infinity;
  for (const target of [...targets].sort((a, b) => from(a) - from(b))) {
    const last = groups.at(-1);
    if (last && from(target) < reached + kerf - NEAR) last.push(target);
    else groups.push([target]);
    reached = Math.max(reached, to(target));
  }
  return groups;
};
