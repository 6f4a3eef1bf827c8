/** A type with its lists made writable one level deep: Joi's strict objects know no readonly lists. */
export type Writable<T> = { -readonly [K in keyof T]: T[K] extends readonly (infer U)[] | undefined ? U[] : T[K] };
