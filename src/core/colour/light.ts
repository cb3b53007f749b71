/** CIE L* of an sRGB colour (IEC 61966-2-1, D65), 0 black to 100 white. */
export function lightnessOf(hex: string): number {
  const [red, green, blue] = linearColour(hex);
  return lightnessFromLuminance(0.2126 * red + 0.7152 * green + 0.0722 * blue);
}

/** Linear light 0–1 of each channel of a colour #rrggbb. */
export function linearColour(hex: string): [red: number, green: number, blue: number] {
  const match = /^#?([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(hex);
  if (!match) throw new Error(`expected a colour #rrggbb, got ${hex}`);
  const channel = (index: number) => linearLight(parseInt(match[index]!, 16));
  return [channel(1), channel(2), channel(3)];
}

/** Linear light 0–1 of an sRGB level 0–255. */
export function linearLight(level: number): number {
  const share = level / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
}

/** L* from relative luminance 0–1 (CIE 1976). */
export const lightnessFromLuminance = (luminance: number): number =>
  luminance > 216 / 24389 ? 116 * Math.cbrt(luminance) - 16 : (24389 / 27) * luminance;

/** Level 0–255, unrounded, of linear light 0–1: the inverse of `linearLight`. */
export const encodeLight = (light: number): number =>
  255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);
