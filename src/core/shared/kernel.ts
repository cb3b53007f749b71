/** A compiled kernel, and the one memory that it works on. */
interface Kernel<Exports> {
  exports: Exports;
  /** The memory, at least so large; growing throws views of it away. */
  reserve: (bytes: number) => ArrayBuffer;
}

const PAGE_BYTES = 65_536;
/** Compiled kernels keep their own first kilobyte. */
export const FIRST_FREE_BYTE = 1024;

const BLOCK_BYTES = 16;

/** Room in a kernel's memory, one thing after the other, each where a vector may begin. */
export function kernelRoom(): { placed: (bytes: number) => number; end: () => number } {
  let end = FIRST_FREE_BYTE;
  return {
    placed(bytes) {
      const at = end;
      end += Math.ceil(bytes / BLOCK_BYTES) * BLOCK_BYTES;
      return at;
    },
    end: () => end,
  };
}

/**
 * Starts a kernel of `npm run kernels`.
 *
 * @param wasm its bytes, in base 64
 * @returns null where WebAssembly or its SIMD is missing: its plain twin runs there
 */
export function startKernel<Exports>(wasm: string): Kernel<Exports> | null {
  if (typeof WebAssembly === 'undefined') return null;
  try {
    const memory = new WebAssembly.Memory({ initial: 1 });
    const module = new WebAssembly.Module(Uint8Array.from(atob(wasm), (letter) => letter.charCodeAt(0)));
    const instance = new WebAssembly.Instance(module, { env: { memory } });
    return {
      exports: instance.exports as unknown as Exports,
      reserve(bytes) {
        const lacking = Math.ceil((bytes - memory.buffer.byteLength) / PAGE_BYTES);
        if (lacking > 0) memory.grow(lacking);
        return memory.buffer;
      },
    };
  } catch {
    return null;
  }
}
