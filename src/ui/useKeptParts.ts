import { replaceEqualDeep } from '@tanstack/react-query';
import { useMemo, useState } from 'react';

/** A value of plain lists and objects, with those parts of the one before it that equal: what is memoised by them stays. */
export function useKeptParts<Value>(value: Value): Value {
  const [keep] = useState(() => {
    let kept: Value | undefined;
    return (next: Value): Value => (kept = kept === undefined ? next : replaceEqualDeep(kept, next));
  });
  return useMemo(() => keep(value), [keep, value]);
}
