/** Whether this browser shows a PDF by itself: then it can print one from the page. */
export const canPrintPdf = (): boolean => typeof navigator !== 'undefined' && navigator.pdfViewerEnabled === true;

const FRAME_ID = 'print-frame';

/**
 * Opens the browser's own print dialog over a PDF. The frame that holds it stays until the next one: the dialog is over
 * it as long as the person takes.
 *
 * @param onRefused where the browser doesn't let a page print it
 */
export function printPdf(pdf: Blob, onRefused: () => void): void {
  const last = document.getElementById(FRAME_ID) as HTMLIFrameElement | null;
  if (last) {
    URL.revokeObjectURL(last.src);
    last.remove();
  }
  const frame = document.createElement('iframe');
  frame.id = FRAME_ID;
  frame.tabIndex = -1;
  frame.setAttribute('aria-hidden', 'true');
  // One that isn't displayed at all is not drawn, and nothing comes out of the printer.
  Object.assign(frame.style, { position: 'fixed', width: '1px', height: '1px', bottom: '0', right: '0', border: '0' });
  frame.src = URL.createObjectURL(pdf);
  frame.onload = () => {
    try {
      frame.contentWindow?.focus();
      frame.contentWindow?.print();
    } catch {
      onRefused();
    }
  };
  document.body.append(frame);
}
