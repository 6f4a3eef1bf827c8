/** What was worked out on one path, kept with it. */
export type PathMemory = Map<symbol, unknown>;

/**
 * Works something out once for each path, and keeps it on the path. In a table beside (a WeakMap) the answers outlive
 * short-lived paths until the next full collection: a search of thousands of builds then spends a third of its time there.
 */
export function oncePer<P extends { readonly memory: PathMemory }, More extends readonly unknown[], V>(
  workOut: (path: P, ...more: More) => V,
): (path: P, ...more: More) => V {
  const key = Symbol();
  return (path, ...more) => {
    const { memory } = path;
    if (!memory.has(key)) memory.set(key, workOut(path, ...more));
    return memory.get(key) as V;
  };
}
