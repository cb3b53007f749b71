import { Fragment, createElement, type ReactNode } from 'react';
import { messageParts } from '@/words/say';

/** A sentence with something in it that is more than text: a field, a link, a figure that stands out. */
export function sayWith(strings: TemplateStringsArray, ...values: readonly ReactNode[]): ReactNode {
  return createElement(
    Fragment,
    null,
    ...messageParts(strings).map((part) => (typeof part === 'number' ? values[part] : part)),
  );
}
