// Resampling in whole numbers, four pixels at a time, in AssemblyScript: the twin of the functions in
// ../resample-plain.ts, which the tests hold it to. Compiled by
// `npm run kernels`. Addresses are bytes in the one memory. Weights are i16 of 14 bits, rows between the passes i16 of
// 6 fractional bits.

/**
 * One row of RGBA u8 to `count` pixels of RGBA i16. `starts` are byte offsets of each pixel's first tap, `weights` 4 ×
 * `quads` i16 for each pixel.
 */
export function horizontal(source: usize, target: usize, starts: usize, weights: usize, quads: i32, count: i32): void {
  const round = i32x4.splat(128);
  for (let x = 0; x < count; x++) {
    let from = source + <usize>load<u32>(starts);
    let sum = round;
    for (let quad = 0; quad < quads; quad++) {
      const pixels = v128.load(from);
      const pairs = v128.shuffle<u8>(pixels, pixels, 0, 4, 1, 5, 2, 6, 3, 7, 8, 12, 9, 13, 10, 14, 11, 15);
      sum = i32x4.add(sum, i32x4.dot_i16x8_s(i16x8.extend_low_i8x16_u(pairs), v128.load32_splat(weights)));
      sum = i32x4.add(sum, i32x4.dot_i16x8_s(i16x8.extend_high_i8x16_u(pairs), v128.load32_splat(weights, 4)));
      from += 16;
      weights += 8;
    }
    const levels = i32x4.shr_s(sum, 8);
    v128.store64_lane(target, i16x8.narrow_i32x4_s(levels, levels), 0);
    starts += 4;
    target += 8;
  }
}

/**
 * `pairs` × 2 rows of i16, their addresses in `rows`, to `count` × 8 bytes of RGBA u8. `weights` two i16 for each pair.
 */
export function vertical(rows: usize, target: usize, weights: usize, pairs: i32, count: i32): void {
  const round = i32x4.splat(1 << 19);
  for (let at: usize = 0; at < <usize>count * 16; at += 16) {
    let low = round;
    let high = round;
    let row = rows;
    let weight = weights;
    for (let pair = 0; pair < pairs; pair++) {
      const one = v128.load(<usize>load<u32>(row) + at);
      const other = v128.load(<usize>load<u32>(row, 4) + at);
      const both = v128.load32_splat(weight);
      low = i32x4.add(low, i32x4.dot_i16x8_s(v128.shuffle<i16>(one, other, 0, 8, 1, 9, 2, 10, 3, 11), both));
      high = i32x4.add(high, i32x4.dot_i16x8_s(v128.shuffle<i16>(one, other, 4, 12, 5, 13, 6, 14, 7, 15), both));
      row += 8;
      weight += 4;
    }
    const levels = i16x8.narrow_i32x4_s(i32x4.shr_s(low, 20), i32x4.shr_s(high, 20));
    v128.store64_lane(target, i8x16.narrow_i16x8_u(levels, levels), 0);
    target += 8;
  }
}

/**
 * Tones `count` RGBA pixels in place by tables of 256 levels. Grey weights in 1/256 that sum to 256, or all 0 for
 * colour.
 */
export function tone(
  pixels: usize,
  count: i32,
  red: usize,
  green: usize,
  blue: usize,
  greyRed: u32,
  greyGreen: u32,
  greyBlue: u32,
): void {
  const grey = greyRed + greyGreen + greyBlue > 0;
  for (let i = 0; i < count; i++) {
    const pixel = load<u32>(pixels);
    let r = pixel & 255;
    let g = (pixel >> 8) & 255;
    let b = (pixel >> 16) & 255;
    if (grey) {
      r = (r * greyRed + g * greyGreen + b * greyBlue) >> 8;
      g = r;
      b = r;
    }
    store<u32>(
      pixels,
      (<u32>load<u8>(red + r)) | ((<u32>load<u8>(green + g)) << 8) | ((<u32>load<u8>(blue + b)) << 16) | 0xff000000,
    );
    pixels += 4;
  }
}

/** `count` pixels (a multiple of 8) of full-range BT.601 luma and halved chroma to RGBA u8. */
export function colour(luma: usize, blueness: usize, redness: usize, target: usize, count: i32): void {
  const middle = i16x8.splat(128);
  const round = i16x8.splat(16);
  const opaque = i8x16.splat(-1);
  for (let i = 0; i < count; i += 8) {
    const y = i16x8.add(i16x8.shl(v128.load_ext<u8>(luma), 5), round);
    const us = v128.load32_zero(blueness);
    const vs = v128.load32_zero(redness);
    const u = i16x8.shl(
      i16x8.sub(
        i16x8.extend_low_i8x16_u(v128.shuffle<u8>(us, us, 0, 0, 1, 1, 2, 2, 3, 3, 0, 0, 0, 0, 0, 0, 0, 0)),
        middle,
      ),
      5,
    );
    const v = i16x8.shl(
      i16x8.sub(
        i16x8.extend_low_i8x16_u(v128.shuffle<u8>(vs, vs, 0, 0, 1, 1, 2, 2, 3, 3, 0, 0, 0, 0, 0, 0, 0, 0)),
        middle,
      ),
      5,
    );
    const r = i16x8.shr_s(i16x8.add(i16x8.add(y, v), i16x8.q15mulr_sat_s(v, i16x8.splat(13173))), 5);
    const g = i16x8.shr_s(
      i16x8.sub(i16x8.sub(y, i16x8.q15mulr_sat_s(u, i16x8.splat(11277))), i16x8.q15mulr_sat_s(v, i16x8.splat(23401))),
      5,
    );
    const b = i16x8.shr_s(i16x8.add(i16x8.add(y, u), i16x8.q15mulr_sat_s(u, i16x8.splat(25297))), 5);
    const rg = v128.shuffle<u8>(
      i8x16.narrow_i16x8_u(r, r),
      i8x16.narrow_i16x8_u(g, g),
      0,
      16,
      1,
      17,
      2,
      18,
      3,
      19,
      4,
      20,
      5,
      21,
      6,
      22,
      7,
      23,
    );
    const ba = v128.shuffle<u8>(
      i8x16.narrow_i16x8_u(b, b),
      opaque,
      0,
      16,
      1,
      17,
      2,
      18,
      3,
      19,
      4,
      20,
      5,
      21,
      6,
      22,
      7,
      23,
    );
    v128.store(target, v128.shuffle<u16>(rg, ba, 0, 8, 1, 9, 2, 10, 3, 11));
    v128.store(target, v128.shuffle<u16>(rg, ba, 4, 12, 5, 13, 6, 14, 7, 15), 16);
    luma += 8;
    blueness += 4;
    redness += 4;
    target += 32;
  }
}
