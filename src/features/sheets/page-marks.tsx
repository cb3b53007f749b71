import { useId } from 'react';
import type { Mark } from '@/core/sheet';
import { ringPath } from '@/core/shape';

const INK = '#1E2126';
const CUT = '#D41A6B';
/** Thinner is not seen on a screen. */
const LEAST_PX = 1;

/** A page's marks on a drawing in page millimetres: the same that the PDF has. */
export function PageMarks({ marks, pxPerMm }: { marks: readonly Mark[]; pxPerMm: number }) {
  const id = useId();
  return (
    <g aria-hidden>
      {marks.map((mark, index) => (
        <OneMark key={index} mark={mark} pxPerMm={pxPerMm} id={`${id}-${index}`} />
      ))}
    </g>
  );
}

function OneMark({ mark, pxPerMm, id }: { mark: Mark; pxPerMm: number; id: string }) {
  const least = LEAST_PX / pxPerMm;
  switch (mark.kind) {
    case 'line':
      return <line {...mark.line} stroke={INK} strokeWidth={Math.max(mark.widthMm, least)} />;
    case 'fill':
      return <path d={ringPath(mark.ring)} fill={INK} />;
    case 'box':
      return (
        <rect
          x={mark.rect.xMm}
          y={mark.rect.yMm}
          width={mark.rect.widthMm}
          height={mark.rect.heightMm}
          stroke={INK}
          strokeWidth={least}
          fill={mark.filled ? INK : 'none'}
        />
      );
    case 'outline':
      return (
        <>
          <clipPath id={id}>
            <rect x={mark.clip.xMm} y={mark.clip.yMm} width={mark.clip.widthMm} height={mark.clip.heightMm} />
          </clipPath>
          <g clipPath={`url(#${id})`} stroke={CUT} strokeWidth={1.2 * least} fill="none">
            <path d={mark.rings.map(ringPath).join(' ')} />
            {mark.folds.map((fold, at) => (
              <line key={at} {...fold} strokeDasharray={`${5 * least} ${5 * least}`} />
            ))}
          </g>
        </>
      );
    case 'words':
      return <Words mark={mark} />;
  }
}

/** Words are drawn at their true size; mirrored ones run back from where they end. */
function Words({
  mark: { words, at, sizeMm, bold, mirrored, turned, maxMm },
}: {
  mark: Extract<Mark, { kind: 'words' }>;
}) {
  const usual = words.length * sizeMm * (bold ? 0.66 : 0.5);
  const width = Math.min(maxMm, usual);
  const flip = mirrored ? `translate(${width} 0) scale(-1 1)` : '';
  return (
    <text
      transform={`translate(${at.xMm} ${at.yMm}) ${turned ? 'rotate(90)' : ''} ${flip}`}
      fill={INK}
      fontSize={sizeMm}
      fontWeight={bold ? 700 : 400}
      fontFamily="var(--title)"
      {...(mirrored || usual > maxMm ? { textLength: width, lengthAdjust: 'spacingAndGlyphs' as const } : {})}
    >
      {words}
    </text>
  );
}
