'use client';
import { useState } from 'react';
import { copierPlan, pagesThatHold } from '@/core/sheet';
import type { SizeMm } from '@/core/shape';
import { Fields, LengthField, Note, Part, Wide, useUnits } from '@/ui';
import { sentenceFor, sentences } from '@/words';
import { say } from '@/words/say';

/** For those who bring a paper original to the copier: at how many percent. */
export function CopierPart({ print }: { print: SizeMm }) {
  const printMm = print.widthMm;
  const papers = [...new Set(pagesThatHold(print).map(({ paper }) => paper.name))];
  const units = useUnits();
  const [originalMm, setOriginalMm] = useState<number | null>(null);
  const plan = originalMm === null ? null : copierPlan(originalMm, printMm);
  return (
    <Part title={say`From a paper original`} folded={say`at the copier`}>
      <Fields>
        <LengthField
          label={say`Width of the original`}
          value={originalMm}
          minMm={5}
          clearable
          onCommit={setOriginalMm}
          testId="original-width"
        />
        <Wide>
          <Note>
            {plan === null
              ? say`The print is ${units.length(printMm)} wide: measure the same stretch on the original.`
              : !plan.ok
                ? sentenceFor(plan.error, units)
                : copyWords(plan.value.passes, units.length(plan.value.resultMm))}
          </Note>
          <Note>
            {papers.length > 0
              ? say`A print of ${units.size(print.widthMm, print.heightMm)} fits on ${papers.join(', ')}.`
              : say`A print of ${units.size(print.widthMm, print.heightMm)} fits on none of the usual papers: copy
                it in parts, or print tiles.`}
          </Note>
        </Wide>
      </Fields>
    </Part>
  );
}

function copyWords(passes: readonly number[], wide: string): string {
  const [first, second] = passes;
  return sentences(
    second === undefined
      ? say`Copy at ${first} %: it comes out ${wide} wide.`
      : say`Copy at ${first} %, then that copy at ${second} %: it comes out ${wide} wide.`,
    say`Switch the copier’s mirror on, and copy onto plain paper.`,
  );
}
