import type { setupWords } from '@/ui/words/setup';

/** The sections of Setup by name. */
export type SectionId = keyof typeof setupWords.sections;
