/**
 * What reads ordinary words and what finds zones share the names of the world's cities: they come in one script, when one
 * of them is first asked for.
 */
export * from '@/core/entryline';
export { ZonePicker } from './ZonePicker';
