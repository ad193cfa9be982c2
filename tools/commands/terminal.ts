/** Where a command writes its lines. */
export interface Terminal {
  readonly out: (line: string) => void;
  readonly error: (line: string) => void;
}
