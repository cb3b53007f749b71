import type { ReactNode } from 'react';
import { Worksheet } from '@/ui';
import css from './piece-page.module.css';

/** The specimen with the worksheet beside it; on a phone the worksheet slides under. */
export const StationLayout = ({ specimen, children }: { specimen: ReactNode; children: ReactNode }) => (
  <div className={css.split}>
    <div className={css.specimen}>{specimen}</div>
    <div className={css.worksheet} tabIndex={-1}>
      <Worksheet>{children}</Worksheet>
    </div>
  </div>
);
