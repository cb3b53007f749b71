import { ITEM_BOUNDS, type StashItem } from '@/records';
import { FigureField, FilmField } from '@/ui';
import { say } from '@/words/say';

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
    label: name,
    value: label[key],
    onCommit: (value: number | null) => onCommit({ [key]: value }),
    ...ITEM_BOUNDS[key],
    ...(usual ? { computed: usual[key] } : { clearable: true }),
  });
  return (
    <>
      <FilmField {...field('filmUm', usual ? say`Wet film` : say`Label: wet film`)} testId="label-film" />
      <FigureField {...field('waitHours', usual ? say`Wait` : say`Label: wait`)} unit="h" testId="label-wait" />
      <FigureField {...field('openMinutes', usual ? say`Open for` : say`Label: open for`)} unit={say`min`} />
    </>
  );
}
