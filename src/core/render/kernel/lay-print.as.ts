// The inner loop of the specimen, in AssemblyScript: the twin of `layPrintPlain` in ../lay-print.ts, which the tests
// hold it to. Compiled by `npm run kernels`. Addresses are bytes in the one memory; tables of taken light are u16 ×
// 256, the table of shown levels is u8 × 4096.

/**
 * Lays `count` pixels: picture RGBA u8, under RGBK u16, out RGBA u8. Grey weights in 1/256 that sum to 256, or all 0
 * for colour.
 */
export function layPrint(
  picture: usize,
  under: usize,
  out: usize,
  count: i32,
  red: usize,
  green: usize,
  blue: usize,
  face: usize,
  greyRed: u32,
  greyGreen: u32,
  greyBlue: u32,
): void {
  const grey = greyRed + greyGreen + greyBlue > 0;
  for (let i = 0; i < count; i++) {
    const pixel = load<u32>(picture);
    let r = pixel & 255;
    let g = (pixel >> 8) & 255;
    let b = (pixel >> 16) & 255;
    if (grey) {
      r = (r * greyRed + g * greyGreen + b * greyBlue) >> 8;
      g = r;
      b = r;
    }
    const share = <u32>load<u16>(under, 6);
    const shownR = <u32>(
      load<u8>(face + ((<u32>load<u16>(under) * (4096 - ((<u32>load<u16>(red + (r << 1)) * share) >> 8))) >> 12))
    );
    const shownG = <u32>(
      load<u8>(face + ((<u32>load<u16>(under, 2) * (4096 - ((<u32>load<u16>(green + (g << 1)) * share) >> 8))) >> 12))
    );
    const shownB = <u32>(
      load<u8>(face + ((<u32>load<u16>(under, 4) * (4096 - ((<u32>load<u16>(blue + (b << 1)) * share) >> 8))) >> 12))
    );
    store<u32>(out, shownR | (shownG << 8) | (shownB << 16) | 0xff000000);
    picture += 4;
    under += 8;
    out += 4;
  }
}
