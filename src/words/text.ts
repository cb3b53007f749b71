/** “left and top”, “a, b and c”. */
export const listOf = (items: readonly string[]): string =>
  items.length < 2 ? (items[0] ?? '') : `${items.slice(0, -1).join(', ')} and ${items[items.length - 1]}`;

/** A sentence's beginning as it stands inside another. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** “1 page”, “3 pages”. */
export const counted = (count: number, text: string, many: string): string => `${count} ${count === 1 ? text : many}`;
