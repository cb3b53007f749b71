// Blurring by running means, four columns at a time, in AssemblyScript: the twin of `blurredPlain` in ../blur.ts, which
// the tests hold it to. Compiled by `npm run kernels`. Addresses are bytes in the one memory; rows are f32, as many as a
// multiple of four.

/**
 * A running mean down each column, over `radius` either way and a share `end` of those after them; beyond the first row
 * and the last theirs is held on.
 *
 * @param sums one row
 */
export function meanDown(
  from: usize,
  to: usize,
  sums: usize,
  rowBytes: usize,
  height: i32,
  radius: i32,
  share: f32,
  end: f32,
): void {
  const shares = f32x4.splat(share);
  const ends = f32x4.splat(end);
  const last = height - 1;
  memory.fill(sums, 0, rowBytes);
  for (let i = -radius; i <= radius; i++) {
    const row = from + <usize>min(last, max(0, i)) * rowBytes;
    for (let x: usize = 0; x < rowBytes; x += 16)
      v128.store(sums + x, f32x4.add(v128.load(sums + x), v128.load(row + x)));
  }
  for (let y = 0; y < height; y++) {
    const before = from + <usize>max(0, y - radius - 1) * rowBytes;
    const leaves = from + <usize>max(0, y - radius) * rowBytes;
    const enters = from + <usize>min(last, y + radius + 1) * rowBytes;
    for (let x: usize = 0; x < rowBytes; x += 16) {
      const sum = v128.load(sums + x);
      const next = v128.load(enters + x);
      const ended = f32x4.mul(ends, f32x4.add(v128.load(before + x), next));
      v128.store(to + x, f32x4.mul(shares, f32x4.add(sum, ended)));
      v128.store(sums + x, f32x4.add(sum, f32x4.sub(next, v128.load(leaves + x))));
    }
    to += rowBytes;
  }
}

/** Rows become columns, four by four; both sides are multiples of four. */
export function turned(from: usize, to: usize, width: i32, height: i32): void {
  const rowBytes = (<usize>width) << 2;
  const toBytes = (<usize>height) << 2;
  for (let y: usize = 0; y < <usize>height; y += 4)
    for (let x: usize = 0; x < <usize>width; x += 4) {
      const at = from + y * rowBytes + (x << 2);
      const a = v128.load(at);
      const b = v128.load(at + rowBytes);
      const c = v128.load(at + 2 * rowBytes);
      const d = v128.load(at + 3 * rowBytes);
      const ab = v128.shuffle<f32>(a, b, 0, 4, 1, 5);
      const cd = v128.shuffle<f32>(c, d, 0, 4, 1, 5);
      const abHigh = v128.shuffle<f32>(a, b, 2, 6, 3, 7);
      const cdHigh = v128.shuffle<f32>(c, d, 2, 6, 3, 7);
      const into = to + x * toBytes + (y << 2);
      v128.store(into, v128.shuffle<f64>(ab, cd, 0, 2));
      v128.store(into + toBytes, v128.shuffle<f64>(ab, cd, 1, 3));
      v128.store(into + 2 * toBytes, v128.shuffle<f64>(abHigh, cdHigh, 0, 2));
      v128.store(into + 3 * toBytes, v128.shuffle<f64>(abHigh, cdHigh, 1, 3));
    }
}
