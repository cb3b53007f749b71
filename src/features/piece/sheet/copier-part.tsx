'use client';
import { useState } from 'react';
import { copierPlan, pagesThatHold } from '@/core/sheet';
import type { SizeMm } from '@/core/shape';
import { Fields, LengthField, Note, Wide, useUnits } from '@/ui';
import { sentenceFor } from '@/words';
import css from './sheet.module.css';

/** For those who bring a paper original to the copier: at how many percent. */
export function CopierPart({ print }: { print: SizeMm }) {
  const printMm = print.widthMm;
  const papers = [...new Set(pagesThatHold(print).map(({ paper }) => paper.name))];
  const units = useUnits();
  const [originalMm, setOriginalMm] = useState<number | null>(null);
  const plan = originalMm === null ? null : copierPlan(originalMm, printMm);
  return (
    <details className={css.more}>
      <summary>From a paper original, at the copier</summary>
      <Fields>
        <LengthField
          label="Width of the original"
          value={originalMm}
          minMm={5}
          clearable
          onCommit={setOriginalMm}
          testId="original-width"
        />
        <Wide>
          <Note>
            {plan === null
              ? `The print is ${units.length(printMm)} wide: measure the same stretch on the original.`
              : !plan.ok
                ? sentenceFor(plan.error, units)
                : `Copy at ${plan.value.passes.map((percent) => `${percent} %`).join(', then that copy at ')}: it comes out ${units.length(plan.value.resultMm)} wide. Switch the copier’s mirror on, and copy onto plain paper.`}
          </Note>
          <Note>
            {papers.length > 0
              ? `A print of ${units.size(print.widthMm, print.heightMm)} fits on ${papers.join(', ')}.`
              : `A print of ${units.size(print.widthMm, print.heightMm)} fits on none of the usual papers: copy it in parts, or print tiles.`}
          </Note>
        </Wide>
      </Fields>
    </details>
  );
}
