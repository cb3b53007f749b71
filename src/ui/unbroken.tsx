import { Children, Fragment, type ReactNode } from 'react';
import { figuresIn } from './figures-in';

/** Words in which a figure and its unit are never parted by the end of a line. Elements among them are left as they are. */
export function Unbroken({ children }: { children: ReactNode }) {
  const pieces: ReactNode[] = [];
  for (const child of Children.toArray(children)) {
    const last = pieces.at(-1);
    const text = typeof child === 'string' || typeof child === 'number' ? String(child) : null;
    if (text !== null && typeof last === 'string') pieces[pieces.length - 1] = last + text;
    else pieces.push(text ?? child);
  }
  return (
    <>{pieces.map((piece, at) => (typeof piece === 'string' ? <Words key={`words ${at}`} text={piece} /> : piece))}</>
  );
}

function Words({ text }: { text: string }) {
  const parts = figuresIn(text);
  if (parts.every(({ isFigure }) => !isFigure)) return text;
  return parts.map(({ text: own, isFigure }, at) =>
    isFigure ? (
      <span key={at} className="whole">
        {own}
      </span>
    ) : (
      <Fragment key={at}>{own}</Fragment>
    ),
  );
}
