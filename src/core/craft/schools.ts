import type { BinderId } from './binders';

/** The wet face-down schools: coat, lay the print face down, dry, dampen, rub the paper away. Source: bench practice. */
export type SchoolId = 'A' | 'A2' | 'A3' | 'A4';

export interface SchoolRecord {
  id: SchoolId;
  name: string;
  essence: string;
  binders: readonly BinderId[];
  source: string;
}

const source = 'bench practice';

export const SCHOOLS: readonly SchoolRecord[] = [
  { id: 'A', name: 'Dry and rub', essence: 'Coat, lay, dry fully, dampen, rub in passes.', source,
    binders: ['fluid-gel', 'heavy-gel', 'glue-sealer', 'clear-medium', 'furniture-gel', 'wood-glue', 'school-glue'] },
  { id: 'A2', name: 'Opaque-base dry and rub', essence: 'The same with a white medium: for dark surfaces and cloth.', source,
    binders: ['opaque-medium', 'gesso'] },
  { id: 'A3', name: 'Varnish bed', essence: 'One coat dries first; the second, wet, takes the print.', source, binders: ['polyurethane'] },
  { id: 'A4', name: 'Quick varnish', essence: 'Acrylic varnish on bare soft wood; rub after an hour or two.', source, binders: ['acrylic-varnish'] },
];

export const schoolById = (id: SchoolId): SchoolRecord => {
  const record = SCHOOLS.find((school) => school.id === id);
  if (!record) throw new Error(`unknown school ${id}`);
  return record;
};
