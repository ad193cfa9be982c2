import { z } from 'zod';
import type { FormCodec, PropertyCodec } from './field';

/** The levels that are told apart (RFC 5545 3.8.1.9), the highest first. */
export const IMPORTANCES = ['high', 'medium', 'low', 'none'] as const;
export type Importance = (typeof IMPORTANCES)[number];

/** The priority that stands for a level, where no other was written. */
const PRIORITIES: Record<Importance, number | undefined> = { high: 1, medium: 5, low: 9, none: undefined };

/** The level of a priority: 1 to 4 high, 5 medium, 6 to 9 low. */
export const importanceOf = (priority: number | undefined): Importance =>
  priority === undefined ? 'none' : priority < 5 ? 'high' : priority === 5 ? 'medium' : 'low';

/** PRIORITY (RFC 5545 3.8.1.9): 1 the highest, 9 the lowest; 0 says none, and so does what is no such number. */
export const readPriority = (text: string): number | undefined =>
  /^[1-9]$/.test(text.trim()) ? Number(text) : undefined;

export const priorityProperty: PropertyCodec<number | undefined> = {
  names: ['priority'],
  read: ({ text }) => readPriority(text('priority')),
  write: (value) => (value === undefined ? [] : [['priority', {}, 'integer', value]]),
  unsayable: {
    is: (text) => readPriority(text) === undefined,
    standsFor: (_, value) => value === undefined,
  },
};

/** In a form its level is chosen; the exact priority stays as long as its level does. */
export const importanceForm: FormCodec<number | undefined, Importance> = {
  kind: 'choice',
  choices: IMPORTANCES,
  isNamed: true,
  schema: z.enum(IMPORTANCES),
  typed: importanceOf,
  said: (typed, before) => (importanceOf(before) === typed ? before : PRIORITIES[typed]),
};
