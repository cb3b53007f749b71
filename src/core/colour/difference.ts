/**
 * CIE L*a*b* (D65, 2°) of linear sRGB, and the colour difference CIEDE2000 (CIE 142-2001; Sharma, Wu and Dalal 2005 for
 * the details). About 1 is just visible side by side; valid for reflecting samples seen on a mid-grey ground.
 */
import { linearColour } from './light';

export type Lab = readonly [lightness: number, a: number, b: number];

const WHITE = [0.95047, 1, 1.08883] as const;
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;
const f = (t: number): number => (t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116);

/** @param red @param green @param blue linear light, 0–1 */
export function labOf(red: number, green: number, blue: number): Lab {
  const x = f((0.4124564 * red + 0.3575761 * green + 0.1804375 * blue) / WHITE[0]);
  const y = f(0.2126729 * red + 0.7151522 * green + 0.072175 * blue);
  const z = f((0.0193339 * red + 0.119192 * green + 0.9503041 * blue) / WHITE[2]);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

/** Of a colour as it is written, #rrggbb. */
export const labOfHex = (hex: string): Lab => labOf(...linearColour(hex));

const RAD = Math.PI / 180;
const POW7_25 = 25 ** 7;

/** A turn of the hue the shorter way round, degrees. */
function shorterTurn(turn: number): number {
  if (Math.abs(turn) <= 180) return turn;
  return turn > 180 ? turn - 360 : turn + 360;
}

/** The hue half way between two, the shorter way round, degrees. */
function meanHue(hue1: number, hue2: number): number {
  const total = hue1 + hue2;
  if (Math.abs(hue1 - hue2) <= 180) return total / 2;
  return (total < 360 ? total + 360 : total - 360) / 2;
}

export function deltaE2000([l1, a1, b1]: Lab, [l2, a2, b2]: Lab): number {
  const chroma7 = ((Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2) ** 7;
  const g = 0.5 * (1 - Math.sqrt(chroma7 / (chroma7 + POW7_25)));
  const [ap1, ap2] = [a1 * (1 + g), a2 * (1 + g)];
  const [cp1, cp2] = [Math.hypot(ap1, b1), Math.hypot(ap2, b2)];
  const hue = (a: number, b: number) => (a === 0 && b === 0 ? 0 : (Math.atan2(b, a) / RAD + 360) % 360);
  const [hp1, hp2] = [hue(ap1, b1), hue(ap2, b2)];
  const grey = cp1 * cp2 === 0;
  const turn = hp2 - hp1;
  const dh = grey ? 0 : shorterTurn(turn);
  const [dL, dC, dH] = [l2 - l1, cp2 - cp1, 2 * Math.sqrt(cp1 * cp2) * Math.sin((dh / 2) * RAD)];
  const [L, C] = [(l1 + l2) / 2, (cp1 + cp2) / 2];
  const H = grey ? hp1 + hp2 : meanHue(hp1, hp2);
  const T =
    1 -
    0.17 * Math.cos((H - 30) * RAD) +
    0.24 * Math.cos(2 * H * RAD) +
    0.32 * Math.cos((3 * H + 6) * RAD) -
    0.2 * Math.cos((4 * H - 63) * RAD);
  const sL = 1 + (0.015 * (L - 50) ** 2) / Math.sqrt(20 + (L - 50) ** 2);
  const sC = 1 + 0.045 * C;
  const sH = 1 + 0.015 * C * T;
  const rT = -Math.sin(2 * 30 * Math.exp(-(((H - 275) / 25) ** 2)) * RAD) * 2 * Math.sqrt(C ** 7 / (C ** 7 + POW7_25));
  return Math.sqrt((dL / sL) ** 2 + (dC / sC) ** 2 + (dH / sH) ** 2 + rT * (dC / sC) * (dH / sH));
}
