import type { words } from '@/ui/words';

/** The sections of Setup by name. */
export type SectionId = keyof typeof words.setup.sections;
