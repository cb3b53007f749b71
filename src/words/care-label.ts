import type { BinderRecord, SealerRecord, SurfaceRecord, UseId } from '@/core/craft';
import { BINDER_WORDS, SEALER_WORDS, SURFACE_WORDS } from './craft';

export interface CareContext {
  name: string;
  surface: SurfaceRecord;
  binder: BinderRecord;
  sealer: SealerRecord | null;
  use: UseId;
  lightUseOn: string | null;
  fullCureOn: string | null;
  firstWashOn: string | null;
}

/** The text of a care label: what it is made of and how to treat it. Dates arrive worded. */
export function careLabel({
  name,
  surface,
  binder,
  sealer,
  use,
  lightUseOn,
  fullCureOn,
  firstWashOn,
}: CareContext): string {
  const sealed = sealer && !sealer.bare;
  const lines = [
    `${name}. Printed picture moved by hand onto ${SURFACE_WORDS[surface.id].inText}.`,
    `Held by ${BINDER_WORDS[binder.id].inText}${sealed ? `, sealed with ${SEALER_WORDS[sealer.id].inText}` : ', not sealed'}.`,
    surface.laundered
      ? `Wash inside out, gentle and cool, first ${firstWashOn ? `from ${firstWashOn}` : 'after 3 to 4 days'}. No tumble drying; iron from the inside only.`
      : 'Dust with a dry soft cloth; wipe slightly damp at most. No soaking, no dishwasher, no scouring.',
  ];
  if (sealed && lightUseOn)
    lines.push(
      `Light use from ${lightUseOn}${fullCureOn && fullCureOn !== lightUseOn ? `, full use from ${fullCureOn}` : ''}.`,
    );
  if (use === 'table-top' || use === 'handled') lines.push('Use coasters; keep hot and wet things off.');
  if (use !== 'sunlit-wall' && !surface.laundered) lines.push('Keep out of strong sun.');
  if (surface.ledOnly) lines.push('LED only. Never light it.');
  if (!surface.laundered) lines.push('Not for food. Not for outdoors.');
  return lines.join('\n');
}
