/** What is used of spectral.js, which comes without types. */
declare module 'spectral.js' {
  export class Color {
    constructor(colour: string);
    tintingStrength: number;
    toString(options?: { format?: 'hex' }): string;
  }
  export function mix(...entries: readonly [Color, number][]): Color;
}
