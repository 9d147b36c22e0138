import { woodTone, type OwnMaterials, type WoodTone } from '@/core/lumber';
import { materialsOf, type Group, type Part } from '@/core/project';

/** How the wood of a part looks in a drawing: its own material, or its group's, or else that of a sheet or of plain softwood. */
export const partTone = (part: Part, group?: Group, own?: OwnMaterials): WoodTone => {
  const [material = part.kind === 'sheet' ? 'sheet' : ''] = group ? materialsOf(part, group) : part.materials;
  return woodTone(material, own);
};
