import type { ReactNode } from 'react';

interface Share {
  /** Of the whole, 0–1. */
  share: number;
  className?: string | undefined;
}

/** A bar as long as a share of what it lies in. */
export const ShareBar = ({ share, className, ...data }: Share & { 'data-low'?: boolean }) => (
  <span className={className} style={{ width: `${100 * Math.max(0, Math.min(1, share))}%` }} {...data} />
);

/** Something at a share of the way along what it lies in. */
export const AtShare = ({ share, className, children, name }: Share & { children?: ReactNode; name?: string }) => (
  <span className={className} style={{ left: `${100 * share}%` }} data-name={name}>
    {children}
  </span>
);
