import type { BinderRecord, SealerRecord, SurfaceRecord, UseId } from '@/core/craft';

export interface CareContext { name: string; surface: SurfaceRecord; binder: BinderRecord; sealer: SealerRecord | null; use: UseId; lightUseOn: string | null; fullCureOn: string | null }

/** The text of a care label: what it is made of and how to treat it. Dates arrive worded. */
export function careLabel({ name, surface, binder, sealer, use, lightUseOn, fullCureOn }: CareContext): string {
  const sealed = sealer && sealer.id !== 'none';
  const lines = [
    `${name}. Printed picture moved by hand onto ${surface.name.toLowerCase()}.`,
    `Held by ${binder.name.toLowerCase()}${sealed ? `, sealed with ${sealer.name.toLowerCase()}` : ', not sealed'}.`,
    surface.id === 'cloth'
      ? 'Wash inside out, gentle and cool, first after 3 to 4 days. No tumble drying; iron from the inside only.'
      : 'Dust with a dry soft cloth; wipe slightly damp at most. No soaking, no dishwasher, no scouring.',
  ];
  if (sealed && lightUseOn) lines.push(`Light use from ${lightUseOn}${fullCureOn && fullCureOn !== lightUseOn ? `, full use from ${fullCureOn}` : ''}.`);
  if (use === 'table-top' || use === 'handled') lines.push('Use coasters; keep hot and wet things off.');
  if (use !== 'sunlit-wall' && surface.id !== 'cloth') lines.push('Keep out of strong sun.');
  if (surface.id === 'led-candle') lines.push('LED only. Never light it.');
  if (surface.id !== 'cloth') lines.push('Not for food. Not for outdoors.');
  return lines.join('\n');
}
