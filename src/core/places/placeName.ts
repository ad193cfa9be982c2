import { foldText } from '../schedule/entryFilter';

/** How a place is told apart: capitals, accents and spaces say nothing. */
export const samePlace = (name: string): string => foldText(name.trim().replaceAll(/\s+/g, ' '));

/** A time of day: what stands with one after a place says when, not where. */
const TIME = /\d[:.]\d\d/;

/** A place's name and what stands after it, where it was written with its address: "Lamp works, Quay 4, Fennick". */
export function nameAndAddress(location: string): { readonly name: string; readonly address: string } {
  const [name = '', ...rest] = location.split(',').map((part) => part.trim());
  const address = rest.filter(Boolean).join(', ');
  return { name, address: TIME.test(address) ? '' : address };
}

/** Whether what is written as a place is another one, by itself or with an address after it. */
export function isAtPlace(location: string, place: string): boolean {
  const [written, named] = [samePlace(location), samePlace(place)];
  return written === named || written.startsWith(`${named},`);
}
