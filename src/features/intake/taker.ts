/** Who takes a picture that is dropped or pasted anywhere: what stands on the screen, else a new piece. */
export interface Taker {
  /** What becomes of it, after "Drop it: ". */
  what: string;
  take: (file: File) => void;
}

const takers: Taker[] = [];

/** The newest stands first; @returns how it is taken off again. */
export function addTaker(taker: Taker): () => void {
  takers.push(taker);
  return () => {
    const at = takers.indexOf(taker);
    if (at >= 0) takers.splice(at, 1);
  };
}

export const currentTaker = (): Taker | null => takers.at(-1) ?? null;
