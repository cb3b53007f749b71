import type { HTMLAttributes } from 'react';

/**
 * The content of a place: what the skip link leads to. Its title is heard and not seen where the answer stands for it.
 */
export const Place = ({ title, children, ...rest }: HTMLAttributes<HTMLElement> & { title?: string }) => (
  <main id="main" tabIndex={-1} {...rest}>
    {title && <h1 className="unseen">{title}</h1>}
    {children}
  </main>
);
