'use client';
import { useState } from 'react';
import { copierPlan } from '@/core/sheet';
import { Fields, LengthField, Note, Wide, sentenceFor, useUnits } from '@/ui';
import css from './sheet.module.css';

/** For those who bring a paper original to the copier: at how many percent. */
export function CopierPart({ printMm }: { printMm: number }) {
  const units = useUnits();
  const [originalMm, setOriginalMm] = useState<number | null>(null);
  const plan = originalMm === null ? null : copierPlan(originalMm, printMm);
  return (
    <details className={css.more}>
      <summary>From a paper original, at the copier</summary>
      <Fields>
        <LengthField label="Width of the original" value={originalMm} minMm={5} clearable onCommit={setOriginalMm} testId="original-width" />
        <Wide>
          <Note>{plan === null ? `The print is ${units.length(printMm)} wide: measure the same stretch on the original.`
            : !plan.ok ? sentenceFor(plan.error, units)
              : `Copy at ${plan.value.passes.map((percent) => `${percent} %`).join(', then that copy at ')}: it comes out ${units.length(plan.value.resultMm)} wide. Switch the copier’s mirror on, and copy onto plain paper.`}</Note>
        </Wide>
      </Fields>
    </details>
  );
}
