import { useState } from 'react';

interface TypedValue {
  /** What the field shows now. */
  readonly text: string;
  /** Whether what it holds can't be read, and the person has left it. */
  readonly isUnread: boolean;
  readonly onChangeText: (text: string) => void;
  readonly onFocus: () => void;
  readonly onBlur: () => void;
  /** Lets go of what was typed: the value is set in another way. */
  readonly forget: () => void;
}

/** What is typed, what it made of the value, and what the value was just before: where another comes, the text is of no use. */
interface Typed {
  readonly text: string;
  readonly sent: string;
  readonly before: string;
}

/**
 * A value that is typed in words of one's own: while the field has the focus it shows what is typed, and afterwards how the
 * value is written everywhere. What can't be read yet is handed on as it is, and stays in the field, whether it was taken
 * or not.
 *
 * @param written how a value is written; undefined for a text that is none
 * @param read the value that a text says; undefined as long as it says none
 */
export function useTypedValue(
  value: string,
  written: (value: string) => string | undefined,
  read: (text: string) => string | undefined,
  onChange: (value: string) => void,
): TypedValue {
  const [kept, setKept] = useState<Typed>();
  const [hasFocus, setHasFocus] = useState(false);
  const typed = kept && (value === kept.sent || value === kept.before) ? kept : undefined;
  const says = typed ? read(typed.text) : written(value) === undefined ? undefined : value;
  const text = typed?.text ?? written(value) ?? value;
  return {
    text,
    // An emptied field that may be empty has been taken as it is.
    isUnread: !hasFocus && says === undefined && !(text === '' && value === ''),
    onChangeText: (next) => {
      const sent = read(next) ?? next;
      setKept({ text: next, sent, before: value });
      onChange(sent);
    },
    onFocus: () => setHasFocus(true),
    onBlur: () => {
      setHasFocus(false);
      if (says !== undefined) setKept(undefined);
    },
    forget: () => setKept(undefined),
  };
}
