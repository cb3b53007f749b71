import { startKernel } from './index';

/** The least module that takes a memory: no function in it. */
const EMPTY = Buffer.from([
  ...[0, 0x61, 0x73, 0x6d, 1, 0, 0, 0],
  ...[2, 15, 1, 3, 0x65, 0x6e, 0x76, 6, 0x6d, 0x65, 0x6d, 0x6f, 0x72, 0x79, 2, 0, 1],
]).toString('base64');

it('keeps one memory that grows to what is reserved, and never shrinks', () => {
  const kernel = startKernel(EMPTY)!;
  const first = kernel.reserve(10);
  expect(first.byteLength).toBe(65_536);
  expect(kernel.reserve(65_536)).toBe(first);
  expect(kernel.reserve(65_537).byteLength).toBe(2 * 65_536);
  expect(kernel.reserve(1).byteLength).toBe(2 * 65_536);
});

it('is none where the bytes are broken or there is no WebAssembly: the plain twin runs', () => {
  expect(startKernel(Buffer.from('no module').toString('base64'))).toBeNull();
  const { WebAssembly: own } = globalThis;
  try {
    Reflect.deleteProperty(globalThis, 'WebAssembly');
    expect(startKernel(EMPTY)).toBeNull();
  } finally {
    globalThis.WebAssembly = own;
  }
});
