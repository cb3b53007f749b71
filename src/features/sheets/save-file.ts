import type { CalendarEntry } from '@/storage';
import { MS_PER_MINUTE } from '@/core/shared';

/** Hands a file to the browser to save. */
export function saveFile(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), MS_PER_MINUTE);
}

/** Whether this browser hands files on to other programs. */
export const canHandOver = (): boolean =>
  typeof navigator !== 'undefined' &&
  typeof navigator.canShare === 'function' &&
  navigator.canShare({ files: [new File([''], 'a.zip', { type: 'application/zip' })] });

/** Hands a file on through the system's own sheet. False where that was called off. */
export async function handOver(blob: Blob, name: string): Promise<boolean> {
  try {
    await navigator.share({ files: [new File([blob], name, { type: blob.type })], title: name });
    return true;
  } catch {
    return false;
  }
}

/** A record as it lies on the disk, as a file. */
export const saveRecord = (data: unknown, name: string): void =>
  saveFile(new Blob([JSON.stringify(data, null, 2)], { type: 'application/json' }), fileName(name, 'json'));

const LONGEST_NAME = 80;
/** A file name that every system takes, with the letters of whatever script it was written in. */
export const fileName = (name: string, ending: string): string =>
  `${
    name
      .normalize('NFC')
      .replace(/[^\p{L}\p{M}\p{N}_\s-]/gu, '')
      .trim()
      .slice(0, LONGEST_NAME)
      .replace(/\s+/g, '-')
      .toLowerCase() || 'piece'
  }.${ending}`;

/** Times as a calendar file; `sequence` rises with each change of what they belong to. */
export async function saveCalendar(
  entries: readonly CalendarEntry[],
  sequence: number,
  now: number,
  name: string,
): Promise<void> {
  const { writeCalendar } = await import('@/storage/calendar');
  saveFile(new Blob([writeCalendar(entries, sequence, now)], { type: 'text/calendar' }), name);
}
