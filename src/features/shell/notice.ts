/** One sentence for the foot of the page, with what can be done about it. */
export interface Notice {
  text: string;
  tone?: 'info' | 'error' | 'success';
  action?: { label: string; run: () => void };
}

/** One that was said, as the list keeps it until the program is closed. */
export interface SaidNotice extends Notice {
  id: number;
  at: number;
}

export const NOTICES_KEPT = 30;
