/**
 * Templates as SVG at full size: the cut lines of each print for a cutter or scissors, and the placement mask: the
 * blank's outline with the print's place, centre lines and openings, to be laid on the blank. One unit is a millimetre.
 */
import { formatLength, type UnitSystem } from '@/core/measure';
import { ringPath, type Blank, type RectMm, type Ring } from '@/core/shape';
import type { SheetWords } from './sheet-words';
import type { FormedPrint, PrintBlock } from './print/print-form';

const PAD_MM = 10;
const LINE_MM = 0.25;

const escaped = (text: string): string => text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);
const round = (mm: number): number => Number(mm.toFixed(3));

function drawing(title: string, widthMm: number, heightMm: number, body: string): string {
  const [w, h] = [round(widthMm + 2 * PAD_MM), round(heightMm + 2 * PAD_MM)];
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="${-PAD_MM} ${-PAD_MM} ` +
    `${w} ${h}"><title>${escaped(title)}</title><g fill="none" stroke="#000" stroke-width="${LINE_MM}">${body}</g>` +
    `</svg>\n`
  );
}

const words = (x: number, y: number, text: string, anchor = 'start'): string =>
  `<text x="${round(x)}" y="${round(y)}" font-size="3.2" font-family="sans-serif" text-anchor="${anchor}" ` +
  `fill="#000" stroke="none">${escaped(text)}</text>`;
const dashed = (x1: number, y1: number, x2: number, y2: number): string =>
  `<line x1="${round(x1)}" y1="${round(y1)}" x2="${round(x2)}" y2="${round(y2)}" stroke-dasharray="3 2"/>`;

const edgeOf = ({ widthMm, heightMm }: PrintBlock): Ring => [
  { xMm: 0, yMm: 0 },
  { xMm: widthMm, yMm: 0 },
  { xMm: widthMm, yMm: heightMm },
  { xMm: 0, yMm: heightMm },
];

/** Cut lines of one print, as they lie on the printed sheet's back or, mirrored, on its front; folds are dashed. */
export function cutTemplate(title: string, block: PrintBlock, mirrored: boolean): string {
  const lines =
    `<path d="${(block.cut ?? [edgeOf(block)]).map(ringPath).join(' ')}" ` +
    `fill-rule="evenodd"/>${block.folds.map(({ x1, y1, x2, y2 }) => dashed(x1, y1, x2, y2)).join('')}`;
  return drawing(
    title,
    block.widthMm,
    block.heightMm,
    mirrored ? `<g transform="translate(${round(block.widthMm)} 0) scale(-1 1)">${lines}</g>` : lines,
  );
}

/** The mask to lay on the blank: its outline and openings, where the print lands, and centre lines of both. */
export function placementTemplate(
  say: Pick<SheetWords, 'placement' | 'placementFullSize' | 'offsets'>,
  name: string,
  blank: Blank,
  { rect, landed }: Pick<FormedPrint, 'rect' | 'landed'>,
  system: UnitSystem,
): string {
  const centre = ({ xMm, yMm, widthMm, heightMm }: RectMm, reach: number) => {
    const [x, y] = [xMm + widthMm / 2, yMm + heightMm / 2];
    return dashed(x, yMm - reach, x, yMm + heightMm + reach) + dashed(xMm - reach, y, xMm + widthMm + reach, y);
  };
  const { widthMm, heightMm } = blank;
  const holes = blank.openings
    .map(
      ({ xMm, yMm, diameterMm }) =>
        `<path d="M${round(xMm - diameterMm / 2 - 2)} ${round(yMm)}h${round(diameterMm + 4)}M${round(xMm)} ` +
        `${round(yMm - diameterMm / 2 - 2)}v${round(diameterMm + 4)}"/>`,
    )
    .join('');
  const body = [
    `<path d="${blank.path}" fill-rule="evenodd" stroke-width="0.5"/>`,
    `<path d="${landed.map(ringPath).join(' ')}" fill-rule="evenodd" stroke="#d41a6b"/>`,
    blank.folds.map(({ x1, y1, x2, y2 }) => dashed(x1, y1, x2, y2)).join(''),
    centre({ xMm: 0, yMm: 0, widthMm, heightMm }, PAD_MM / 2),
    centre(rect, 0),
    holes,
    words(0, -PAD_MM / 2, say.placementFullSize(name)),
    words(rect.xMm + 1.5, rect.yMm + 4.5, say.offsets(formatLength(rect.xMm, system), formatLength(rect.yMm, system))),
  ].join('');
  return drawing(say.placement(name), widthMm, heightMm, body);
}
