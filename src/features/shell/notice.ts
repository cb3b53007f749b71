/** One sentence for the foot of the page, with what can be done about it. */
export interface Notice {
  text: string;
  tone?: 'info' | 'error' | 'success';
  action?: { label: string; run: () => void };
}
