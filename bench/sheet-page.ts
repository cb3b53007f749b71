/** Runs in the page: the print job through the program's own sheet workers. */
import { PLAIN_TONE, toneTables } from '@/core/raster';
import { PLAIN_FORM, formPrint, layoutPack, paperOf, type PaperId } from '@/core/sheet';
import { TRUE_PRINTER } from '@/core/at-hand';
import { resolveBlank } from '@/core/shape';
import { makeSheet } from '@/workers/sheet/client';
import type { SheetSpent } from '@/workers/sheet/protocol';

export async function printJob(
  url: string,
  widthMm: number,
  heightMm: number,
  paper: PaperId,
): Promise<{ ms: number; bytes: number; pages: number; ok: boolean; spent: SheetSpent[] }> {
  const file = await (await fetch(url)).blob();
  const blank = resolveBlank({ kind: 'rectangle' }, { widthMm, heightMm });
  if (!blank.ok) throw new Error(blank.error.code);
  const place = { xMm: 0, yMm: 0, widthMm, heightMm };
  const { blocks } = formPrint(blank.value, PLAIN_FORM, place, [], null);
  const pack = layoutPack(blocks, { paper: paperOf(paper, place), orientation: 'auto', overlapMm: 10, marginMm: 5 });
  if (!pack.ok) throw new Error(pack.error.code);
  let told: (spent: SheetSpent[]) => void = () => undefined;
  const spending = new Promise<SheetSpent[]>((resolve) => (told = resolve));
  const from = performance.now();
  const made = await makeSheet(
    {
      sources: [file],
      mirrored: true,
      pack: pack.value,
      truth: TRUE_PRINTER,
      text: {
        title: 'Bench',
        unitSystem: 'inch',
        mirrored: true,
        printKind: null,
        createdAt: new Date(0),
        prints: [{ name: 'Bench', cut: null, folds: [], edge: 'fade' }],
      },
      prints: [
        {
          block: blocks[0],
          layers: [],
          sideColour: '#ffffff',
          picture: {
            source: 0,
            turning: { turns: 0, straightenDeg: 0 },
            crop: { x: 0, y: 0, width: 1, height: 1 },
            tone: toneTables({ ...PLAIN_TONE, gamma: 1.2 }),
            fade: { fade: 'rectangle', fadeMm: 12 },
            place,
          },
        },
      ],
    },
    () => undefined,
    (spent) => told(spent.filter((one) => one !== null)),
  ).done;
  const ms = performance.now() - from;
  return {
    ms,
    spent: await spending,
    bytes: made?.ok ? made.value.length : 0,
    pages: pack.value.pages.length,
    ok: made?.ok ?? false,
  };
}

Object.assign(globalThis, { printJob });
