/** A to-do that is dragged out of a list, with what shows where it would lie. */
export interface CarriedTodo {
  readonly key: string;
  readonly title: string;
  readonly minutes: number;
  readonly calendarId: string;
}

/** What a to-do can be let go over. */
export interface CarryTarget {
  /** Shows where it would lie; nothing beside the target. */
  readonly show: (todo: CarriedTodo, x: number, y: number) => void;
  /** Takes it; whether there was a place for it. */
  readonly drop: (todo: CarriedTodo, x: number, y: number) => boolean;
  readonly leave: () => void;
}

let target: CarryTarget | undefined;

/** Says what takes to-dos now. Returns what ends that. */
export function takeCarried(next: CarryTarget): () => void {
  target = next;
  return () => {
    if (target === next) target = undefined;
  };
}

/** What takes to-dos now. */
export const carryTarget = (): CarryTarget | undefined => target;
