import type { RuleProblem } from '../../recurrence/ruleProblems';

export interface ReadProblem {
  /** Line of the file, from 1. */
  readonly line: number;
  readonly code:
    | 'unreadable-line'
    | 'unreadable-rule'
    | 'no-start'
    | 'unreadable-entry'
    | 'end-before-start'
    | 'unknown-zone'
    | 'mapped-zone'
    | 'kept-alarm'
    | 'too-many-alarms'
    | RuleProblem;
  /** The line, the zone's name or the component's. */
  readonly detail: string;
}

export type FileRefusal =
  | 'empty'
  | 'too-large'
  | 'zip'
  | 'wrong-encoding'
  | 'not-a-calendar'
  | 'not-a-card'
  | 'cut-off'
  | 'not-a-table'
  | 'zip-inside'
  | 'other-kind'
  | 'no-start-column'
  | 'not-a-backup'
  | 'damaged-backup'
  | 'newer-backup';

/** A file that is not read at all. */
export class FileError extends Error {
  constructor(readonly reason: FileRefusal) {
    super(`file refused: ${reason}`);
    this.name = 'FileError';
  }
}

/** The largest backup that is read, in bytes: attachments make it long. */
export const LARGEST_BACKUP = 500 * 1024 * 1024;

/** The largest file that is read, in bytes: one attachment of the largest kind fits, as text. */
export const LARGEST_FILE = 200 * 1024 * 1024;
