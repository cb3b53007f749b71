/** One of the things a field offers. */
export interface Option<V extends string> {
  id: V;
  name: string;
  disabled?: boolean;
  testId?: string;
}
