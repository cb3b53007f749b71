/** A language that the program can be put into. English is what stands in the code. */
export interface Language {
  /** BCP 47: dates, figures and plurals follow it. */
  tag: string;
  direction: 'ltr' | 'rtl';
  /** @param english a message as it stands in the code, its values as `{0}`, `{1}` … @returns the same in this language */
  message: (english: string) => string;
  /** @returns a count with its noun, in the form that the count asks for; English gives both of its own */
  counted: (count: string, form: Intl.LDMLPluralRule, one: string, many: string) => string;
}
