/** What the core answers to a reference case, by the names the case uses. */
export type Got = Readonly<Record<string, number | string | boolean | null>>;
