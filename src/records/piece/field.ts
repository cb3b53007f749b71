/**
 * What is known of a stored field, stated once: its default, its schema, its nature, what a change of it voids and the
 * pictures it refers to. Its type stands in the core (`Job`), which the compiler holds each declaration to. New pieces,
 * their schema, sets, another like it, changes and the pictures that are kept are folds over these declarations.
 */
import Joi from 'joi';

/**
 * `chosen`: holds for the others of a set too, and for another like it. `done`: what was done, seen or noted; it stays
 * with the piece. `own`: of this one board or this one picture.
 */
export type Nature = 'chosen' | 'done' | 'own';

/** The other fields of its section that a field voids, with what is left of each. */
type Voids<S> = { readonly [F in keyof S]?: (before: S[F]) => S[F] };

/** Finds the pictures in a value, and gives them other ids: null where one is not to be had. Ids as they are stored. */
export interface PictureRefs<T> {
  readonly most: number;
  ids: (value: T) => readonly (string | null)[];
  renamed: (value: T, idOf: (id: string) => string | null) => T;
}

type SchemaOf<T> = Joi.StrictSchemaMap<{ value: T }>['value'] | Joi.AlternativesSchema;

interface Options<S> {
  voids?: Voids<S>;
  /** Chosen for the picture it was chosen on: another picture keeps its own. */
  samePictureOnly?: boolean;
}

export interface Field<T, S> extends Options<S> {
  readonly nature: Nature;
  readonly initial: T;
  readonly schema: () => SchemaOf<T>;
  readonly pictures?: PictureRefs<T>;
}

/** Whether a value of this name refers to a picture: its ids are named so, wherever they stand. */
type RefersToPicture<Key, T> = Key extends `${string}${'picture' | 'Picture' | 'photo' | 'Photo'}Id`
  ? true
  : T extends string | number | boolean | null
    ? never
    : T extends readonly (infer Item)[]
      ? RefersToPicture<'', Item>
      : { [K in keyof T]-?: RefersToPicture<K, T[K]> }[keyof T];

type PictureField<T, S> = Field<T, S> & { readonly pictures: PictureRefs<T> };

/** Every field of a section; what refers to pictures says how. */
export type Fields<S> = {
  readonly [F in keyof S]-?: [RefersToPicture<F, S[F]>] extends [never] ? Field<S[F], S> : PictureField<S[F], S>;
};

const of =
  (nature: Nature) =>
  <T, S>(schema: () => SchemaOf<NoInfer<T>>, initial: NoInfer<T>, options: Options<NoInfer<S>> = {}): Field<T, S> => ({
    ...{ nature, initial, schema, ...options },
  });

export const chosen = of('chosen');
export const done = of('done');
export const own = of('own');

export const refersTo = <T, S>(pictures: PictureRefs<NoInfer<T>>, field: Field<T, S>): PictureField<T, S> => ({
  ...{ ...field, pictures },
});

/** One picture, or none. */
export const onePicture: PictureRefs<string | null> = {
  most: 1,
  ids: (id) => [id],
  renamed: (id, idOf) => (id === null ? null : idOf(id)),
};

type Names<S> = (keyof S & string)[];
export const namesOf = <S>(fields: Fields<S>): Names<S> => Object.keys(fields) as Names<S>;

/** The values of a section, each from its field. */
export const valuesOf = <S>(fields: Fields<S>, value: <F extends keyof S>(name: F, field: Fields<S>[F]) => S[F]): S =>
  Object.fromEntries(namesOf(fields).map((name) => [name, value(name, fields[name])])) as S;

export const initialOf = <S>(fields: Fields<S>): S => valuesOf(fields, (_, { initial }) => initial);

export const schemaOf = <S>(fields: Fields<S>): Joi.ObjectSchema<S> =>
  Joi.object<S>()
    .keys(Object.fromEntries(namesOf(fields).map((name) => [name, fields[name].schema()])) as Joi.PartialSchemaMap<S>)
    .required();

/**
 * A section after a change: what a changed field voids is voided, but where the change says it itself.
 *
 * @param said the fields that the change names
 */
export function withVoided<S extends object>(fields: Fields<S>, before: S, after: S, said: readonly string[]): S {
  let now = after;
  for (const name of namesOf(fields)) {
    const { voids } = fields[name];
    if (!voids || before[name] === after[name]) continue;
    for (const voided of Object.keys(voids) as Names<S>)
      if (!said.includes(voided)) now = { ...now, [voided]: voids[voided]?.(now[voided]) };
  }
  return now;
}
