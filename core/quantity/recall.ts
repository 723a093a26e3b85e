type Kept<V> = { readonly from: readonly unknown[]; readonly value: V };

/**
 * Remembers, for each key, the last values, `depth` ≥ 1 of them, and what each was made from, and gives one again when
 * that is the same: the same objects and equal numbers. Sound because what is made is a pure function of its key and
 * inputs, and a part of a design that no edit touched stays the same object.
 *
 * The key should be what stays the same object while something is pulled, and what changes with each move an input: then each
 * value takes the place of the last. A value under a key that is new with each move outlives several clearings of the memory,
 * for a clearing of what is new keeps the values of a weak map whether their keys live or not.
 */
export function createRecall<K extends object, V>(depth = 1) {
  const kept = new WeakMap<K, Kept<V>[]>();
  return (key: K, from: readonly unknown[], make: () => V): V => {
    const values = kept.get(key);
    for (const one of values ?? []) if (isSame(one.from, from)) return one.value;
    const value = make();
    if (!values) kept.set(key, [{ from, value }]);
    else {
      if (values.length >= depth) values.shift();
      values.push({ from, value });
    }
    return value;
  };
}

function isSame(a: readonly unknown[], b: readonly unknown[]): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (!Object.is(a[i], b[i])) return false;
  return true;
}
