import { ITEM_BOUNDS, type StashItem } from '@/records';
import { FigureField, FilmField } from '@/ui';
import { upperFirst } from '@/words';

type LabelValues = StashItem['label'];

/** What the label of a bottle says, field by field; empty is what is usual, said where it is known. */
export function LabelFields({
  label,
  usual,
  onCommit,
}: {
  label: LabelValues;
  usual?: Readonly<Record<keyof LabelValues, string>> | undefined;
  onCommit: (patch: Partial<LabelValues>) => void | Promise<boolean>;
}) {
  const field = (key: keyof LabelValues, name: string) => ({
    label: usual ? upperFirst(name) : `Label: ${name}`,
    value: label[key],
    onCommit: (value: number | null) => onCommit({ [key]: value }),
    ...ITEM_BOUNDS[key],
    ...(usual ? { computed: usual[key] } : { clearable: true }),
  });
  return (
    <>
      <FilmField {...field('filmUm', 'wet film')} testId="label-film" />
      <FigureField {...field('waitHours', 'wait')} unit="h" testId="label-wait" />
      <FigureField {...field('openMinutes', 'open for')} unit="min" />
    </>
  );
}
