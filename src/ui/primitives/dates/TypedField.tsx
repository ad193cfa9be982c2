import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import type { IconName } from '../../icons/paths';
import { webProps } from '../../web';
import type { FrameProps } from '../FieldFrame';
import { type Anchor, anchorOf, Popover } from '../Popover';
import { TextField } from '../TextField';
import { pickButton } from './pickButton';
import { useTypedValue } from './useTypedValue';

/** What a kind of value is, for a field that it is typed into or picked for. */
export interface TypedKind {
  /** How a value is written; undefined for a text that is none. */
  readonly written: (value: string) => string | undefined;
  /** The value that a text says; undefined as long as it says none. */
  readonly read: (text: string) => string | undefined;
  /** The value that an arrow key leads to from another; undefined for keys that lead nowhere. */
  readonly stepped: (value: string, key: string) => string | undefined;
  /** What is said beside a text that says none. */
  readonly unread: string;
  readonly icon: IconName;
  /** What its picker is called. */
  readonly pick: string;
  readonly pickRole: 'listbox' | 'dialog';
  readonly pickWidth: number;
  /** The least width of its field. */
  readonly width: number;
}

export interface TypedFieldProps extends FrameProps {
  value: string;
  onChange: (value: string) => void;
  /** A value that was picked, or that stands in the field as it is left. */
  onCommit?: (value: string) => void;
  testID?: string;
}

/**
 * Selects the text of the field that gets the focus, to be written over. A press puts its caret after that, so it is done
 * once more, unless somebody has written meanwhile: on a busy page that would be lost.
 */
function selectText(): void {
  const input = document.activeElement;
  if (!(input instanceof HTMLInputElement)) return;
  const { value } = input;
  input.select();
  setTimeout(() => {
    if (document.activeElement === input && input.value === value) input.select();
  });
}

/**
 * A field that is typed into as the person writes, or picked for: Alt and the arrow down open what is picked from, the
 * arrows alone lead on. What is typed and says nothing yet is handed on as it is, and that is said beside the field.
 */
export function TypedField({
  value,
  onChange,
  onCommit,
  error,
  testID,
  kind,
  picker,
  ...frame
}: TypedFieldProps & { kind: TypedKind; picker: (onPick: (value: string) => void) => ReactNode }) {
  const [field, setField] = useState<View | null>(null);
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const { isUnread, ...typing } = useTypedValue(value, kind.written, kind.read, onChange);
  const open = () => setAnchor(anchorOf(field));
  const close = () => setAnchor(null);
  const take = (next: string) => {
    typing.forget();
    onChange(next);
  };
  const least = frame.narrow ? 0 : kind.width;
  return (
    <View
      ref={setField}
      style={{ flexGrow: 1, flexShrink: 1, flexBasis: least, minWidth: least }}
      {...webProps({
        onKeyDownCapture: (event) => {
          if (!(event.target instanceof HTMLInputElement) || event.ctrlKey || event.metaKey) return;
          const next = event.altKey ? undefined : kind.stepped(value, event.key);
          if (event.altKey && event.key === 'ArrowDown') open();
          else if (next !== undefined) take(next);
          else return;
          event.preventDefault();
          event.stopPropagation();
        },
      })}
    >
      <TextField
        {...frame}
        value={typing.text}
        onChangeText={typing.onChangeText}
        onFocus={() => {
          typing.onFocus();
          selectText();
        }}
        onBlur={() => {
          typing.onBlur();
          if (kind.written(value) !== undefined) onCommit?.(value);
        }}
        error={error ?? (isUnread ? kind.unread : undefined)}
        right={pickButton(kind.icon, kind.pick, open)}
        testID={testID}
      />
      {anchor ? (
        <Popover
          anchor={anchor}
          label={kind.pick}
          role={kind.pickRole}
          width={kind.pickWidth}
          onClose={close}
        >
          {picker((picked) => {
            close();
            take(picked);
            onCommit?.(picked);
          })}
        </Popover>
      ) : null}
    </View>
  );
}
