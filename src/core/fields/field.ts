import type { z } from 'zod';
import type { Entry } from '../model/entry';
import type { JCalProperty } from '../model/jcal';

/** What of a component a field reads itself from. */
export interface PropertySource {
  /** The text of the first property of a name, or ''. */
  readonly text: (name: string) => string;
  /** All properties of a name. */
  readonly all: (name: string) => readonly JCalProperty[];
  /** The first property whose name is such. */
  readonly like?: (names: RegExp) => JCalProperty | undefined;
}

/** How a field stands in a VEVENT or VTODO. */
export interface PropertyCodec<Value> {
  /** The properties that say it, in small letters. */
  readonly names: readonly string[];
  /** Whether the first of them may stand several times. */
  readonly isRepeated?: boolean;
  /** Whether it keeps all parameters with its value. */
  readonly holdsParameters?: boolean;
  /** Undefined where nothing is said, or nothing that the model can say. */
  readonly read: (source: PropertySource) => Value | undefined;
  readonly write: (value: Value, entry: Entry) => JCalProperty[];
  /** A text that the model can't say: it is kept as it was read, and written for as long as it stands for the value. */
  readonly unsayable?: {
    readonly is: (text: string) => boolean;
    readonly standsFor: (text: string, value: Value) => boolean;
  };
  /** Properties of other writers that say the same: read where ours say nothing, and kept for as long as they say what is so. */
  readonly foreign?: {
    readonly names: RegExp;
    readonly read: (property: JCalProperty) => Value | undefined;
    readonly says: (property: JCalProperty, value: Value) => boolean;
  };
}

/** How a field stands in a table. */
export interface ColumnCodec<Value, Id extends string = string> {
  /** By which a column is told to hold it. */
  readonly id: Id;
  /** What its column is called in a table that is written. */
  readonly header: string;
  /** What such columns are called elsewhere, without spaces and signs. */
  readonly names: RegExp;
  /** Undefined for a text that says no value. */
  readonly read: (text: string) => Value | undefined;
  readonly write: (value: Value) => string;
}

/** How a field stands in the form of an entry: what is typed or chosen there, and what that says. */
export interface FormCodec<Value, Typed> {
  readonly kind: 'text' | 'notes' | 'link' | 'names' | 'choice';
  /** Of a choice, all that can be chosen. */
  readonly choices?: readonly Typed[];
  /** Whether a value says nothing without the name of its field: a level alone would not say of what. */
  readonly isNamed?: boolean;
  /** What may stand in the form while it is written. */
  readonly schema: z.ZodType<Typed, Typed>;
  /** What is wrong with it, if it can't be kept so. */
  readonly problem?: (typed: Typed) => 'link' | undefined;
  readonly typed: (value: Value) => Typed;
  /** @param before the value that the form began with */
  readonly said: (typed: Typed, before: Value) => Value;
}

/** How search and the filter read a field. */
interface SearchPart<Value> {
  /** What words are looked for in. */
  readonly text: (value: Value, entry: Entry) => string;
  /** How much more a hit in it counts than one in another field; 1 without. */
  readonly boost?: number;
  /** Whether the words of a filter are looked for in it, too. */
  readonly filter: boolean;
}

/** Values of a field that the filter offers to choose among, under the key that the filter keeps the chosen ones by. */
interface FacetPart<Value> {
  readonly key: 'categories' | 'availabilities' | 'classifications';
  readonly values: (value: Value) => readonly string[];
}

/** How a field stands in Tidy's table. */
interface TablePart<Value, Id extends string = string> {
  /** Its column, as addresses and saved looks name it. */
  readonly id: Id;
  /** How wide the column is at first, in pixels, and whether it stands there. */
  readonly width: number;
  readonly isShown?: true;
  /** What the column is sorted by; what an entry of the other kind has not is undefined. */
  readonly order: (value: Value | undefined, entry: Entry) => number | string;
  /** Whether it is written into where it stands: by its form, or as the text that it is. */
  readonly isWritten?: true;
}

/** All that is to be said of a field of an entry. */
export interface Field<Value, Typed = unknown, Id extends string = string, TableId extends string = string> {
  /** How it begins; `required` for what every entry is made with. */
  readonly initial: Value | 'required';
  /** `shared`: an edit for more than one occurrence sets it for all; `own`: it has rules of its own, or is of one alone. */
  readonly scope: 'shared' | 'own';
  /** From which depth of publishing on others see it. */
  readonly published: 'busy' | 'titles' | 'everything' | 'never';
  /** Whether it can be set of many entries at once; `text` for one that the general step sets to a text. */
  readonly batch: boolean | 'text';
  readonly search?: SearchPart<Value>;
  readonly facet?: FacetPart<NonNullable<Value>>;
  readonly table?: TablePart<Value, TableId>;
  /** Undefined: read and written with what it belongs to (times, repeats, reminders, files), or not at all. */
  readonly property: PropertyCodec<Value> | undefined;
  readonly column: ColumnCodec<Value, Id> | undefined;
  /** Undefined: it has a part of the form of its own. */
  readonly form: FormCodec<Value, Typed> | undefined;
}

/** What a row of the table has to be for a field of a type, whatever its form and column hold. */
export type RowFor<Value> = Omit<Field<Value>, 'column' | 'form' | 'table'> & {
  readonly table?: TablePart<Value>;
  readonly column: ColumnCodec<Value> | undefined;
  readonly form:
    | {
        readonly typed: (value: Value) => unknown;
        readonly said: (typed: never, before: Value) => Value;
      }
    | undefined;
};

/** What has a part of its own wherever it is read, written and shown. */
export const apart = { property: undefined, column: undefined, form: undefined } as const;

/** A row with the types of its own codecs. */
export const field = <
  Value,
  Typed = never,
  const Id extends string = never,
  const TableId extends string = never,
>(
  row: Field<Value, Typed, Id, TableId>,
) => row;
