export { Themed } from './themed';
export { ClockProvider, useClock, useNow } from './clock';
export { UnitsProvider, useUnits } from './units-context';
export { Segments } from './segments';
export { useKeyed } from './use-keyed';
export { ChooseButton } from './choose-button';
export {
  afterTime,
  isAtNight,
  clockTime,
  dated,
  dayName,
  formatHours,
  lasting,
  longDate,
  noonOf,
  span,
  timeZoneHere,
} from './times';
export { WetnessMark, WETNESS_WORDS } from './wetness-mark';
export { StateMark } from './state-mark';
export {
  Answer,
  Because,
  Fold,
  Cautions,
  Fields,
  Marked,
  NextRow,
  Note,
  Part,
  Steps,
  Wide,
  Worksheet,
  type ReasonLine,
} from './worksheet';
export {
  ChoiceField,
  FigureField,
  FilmField,
  LengthField,
  PercentField,
  PriceField,
  TemperatureField,
  VolumeField,
} from './fields';
export { TickRow } from './tick-row';
export { SelectField } from './select-field';
export { PictureChoice } from './picture-choice';
export { DateField } from './date-field';
export { LineField } from './line-field';
export { NameInput } from './name-input';
export { JobProgress } from './job-progress';
export { HoldButton } from './hold-button';
export { TypedField, type TypedFieldProps } from './typed-field';
export { Plot } from './plot';
export { TextButton } from './text-button';
export { AtShare, ShareBar } from './along';
export { FirstFew } from './first-few';
export { ReadingProvider, useReading } from './reading-context';
export { focusOn } from './focus-on';
export { placeOf } from './place-of';
export { Unbroken } from './unbroken';
export { Place } from './place';
export { FileButton } from './file-button';
export { useFileDrop } from './use-file-drop';
export { WritingField } from './writing-field';
export { Specimen, type SpecimenScale } from './specimen';
export { UndoButtons } from './undo-buttons';
