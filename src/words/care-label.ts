import type { BinderRecord, SealerRecord, SurfaceRecord, UseId } from '@/core/craft';
import { cleaningOf, type Cleaning } from '@/core/seal';
import { BINDER_WORDS, SEALER_WORDS, SURFACE_WORDS } from './craft';
import { say } from './say';

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
    say`${name}. Printed picture moved by hand onto ${SURFACE_WORDS[surface.id].inText}.`,
    sealed
      ? say`Held by ${BINDER_WORDS[binder.id].inText}, sealed with ${SEALER_WORDS[sealer.id].inText}.`
      : say`Held by ${BINDER_WORDS[binder.id].inText}, not sealed.`,
    cleaning(cleaningOf({ surface, binder, sealer }), firstWashOn),
  ];
  if (sealed && lightUseOn)
    lines.push(
      fullCureOn && fullCureOn !== lightUseOn
        ? say`Light use from ${lightUseOn}, full use from ${fullCureOn}.`
        : say`Light use from ${lightUseOn}.`,
    );
  if (use === 'table-top' || use === 'handled') lines.push(say`Use coasters; keep hot and wet things off.`);
  if (use !== 'sunlit-wall' && !surface.laundered) lines.push(say`Keep out of strong sun.`);
  if (surface.ledOnly) lines.push(say`LED only. Never light it.`);
  if (!surface.laundered) lines.push(say`Not for food. Not for outdoors.`);
  return lines.join('\n');
}

function cleaning(how: Cleaning, firstWashOn: string | null): string {
  switch (how) {
    case 'wash':
      return firstWashOn
        ? say`Wash inside out, gentle and cool, first from ${firstWashOn}. No tumble drying; iron from the inside only.`
        : say`Wash inside out, gentle and cool, first after 3 to 4 days. No tumble drying; iron from the inside only.`;
    case 'no-wash':
      return say`Do not wash it: the picture would come off. Brush it off dry.`;
    case 'dry-only':
      return say`Dust with a dry soft cloth or brush. Keep water off it.`;
    case 'wipe-damp':
      return say`Dust with a dry soft cloth; wipe slightly damp at most. No soaking, no dishwasher, no scouring.`;
  }
}
