import { anyOf, type Candidate } from '../candidate';
import { ENGLISH } from '../language';

const LEAD = /(?<![\p{L}\p{N}_])(at|in|@)\s+(?=[\p{L}\p{N}])|(?<=^|\s)@(?=\p{L})/giu;
const noPlaceBehind = (words: readonly string[]): RegExp =>
  new RegExp(String.raw`(?<![\p{L}])(?:${anyOf(words)})\s+$`, 'iu');
const BEHIND_NO_PLACE = {
  at: noPlaceBehind(ENGLISH.beforeNoPlace.at),
  in: noPlaceBehind(ENGLISH.beforeNoPlace.in),
};
const NO_PLACE = new RegExp(
  String.raw`^(?:at|on|with|by|the\s+next|(?:(?:the|a|an)\s+)?(?:${anyOf(ENGLISH.noPlace)}|(?:the\s+)?(?:morning|afternoon|evening|night|weekend|meantime|end|future|past|background)|${anyOf(ENGLISH.months.flat())}))(?![\p{L}])`,
  'iu',
);
/** Where the words of a place end before the line does. */
const END =
  /[,;!?]|\s-\s|\s[#/|]|\shttps?:|\sremind\b|\s(?:with|about|for|re|to|every|until|from|on|and\s+then)\s/giu;
/** A place that goes on beyond one of these has taken in more than the place. */
const ENDED = /[,;!?]|\s(?:with|about|re|every|until)\s/iu;
/** Behind what a place is called, other words begin. */
const NAMED = /\s(?:room|shed|tower|hall|office|station|house|street|harbour|cafe|pier|light|point)(?=\s)/giu;
const LONGEST = 60;
/** "online" by itself, where the line ends or goes on with another part. */
const ONLINE =
  /(?<=[\s,])online(?=\s*$|\s*[,;]|\s+(?:with|at|from|on|every|until|remind|optional|invite)(?![\p{L}]))/giu;
/** What is done online rather than held there: "order rope online", "go online". */
const DONE_ONLINE =
  /^\s*(?:order|buy|book|pay|shop|look|search|check|register|renew|find|sell|file|read)(?![\p{L}])|(?:^|[^\p{L}])(?:go|going|goes|be|is|are|an|the)\s+$/iu;

/**
 * All places that a text may say: what stands behind "at", "in" or "@" up to where another part begins, a sign, or the
 * end of the line.
 * @param starts where other parts begin
 */
export function* placesIn(text: string, starts: readonly number[]): Generator<Candidate> {
  for (const { index, 0: word } of text.matchAll(ONLINE))
    if (!DONE_ONLINE.test(text.slice(0, index)))
      yield {
        from: index,
        to: index + word.length,
        score: 6,
        slots: ['place'],
        said: { placeAt: [index, index + word.length] },
      };
  for (const lead of text.matchAll(LEAD)) {
    const begin = lead.index + lead[0].length;
    const word = lead[1]?.toLowerCase();
    const before = text.slice(Math.max(0, lead.index - 20), lead.index);
    if ((word === 'at' || word === 'in') && BEHIND_NO_PLACE[word].test(before)) continue;
    const rest = text.slice(begin);
    if (NO_PLACE.test(rest)) continue;
    const near = rest.slice(0, LONGEST);
    const signs = [
      ...[...near.matchAll(END)].map(({ index }) => begin + index),
      ...[...near.matchAll(NAMED)].map((match) => begin + match.index + match[0].length),
    ];
    const ends = [...new Set([...starts, ...signs, text.length])]
      .filter((end) => end > begin && end - begin <= LONGEST)
      .sort((a, b) => a - b)
      .slice(0, 4);
    for (const end of ends) {
      const location = text.slice(begin, end).replace(/[\s,;().!?-]+$/u, '');
      // A number alone is an hour.
      if (!/\p{L}/u.test(location) || (/^\d/.test(location) && !/^\d+\s*\p{L}/u.test(location))) continue;
      // "at 10 and 15 min"
      if (/^\d+\s+(?:and|or|to|h|min)(?![\p{L}])/iu.test(location)) continue;
      const isBracketed = text[lead.index - 1] === '(' && text[begin + location.length] === ')';
      const count = location.split(/\s+/).length;
      const isNamed = /^\p{Lu}/u.test(location) || lead[0].includes('@');
      yield {
        from: lead.index - (isBracketed ? 1 : 0),
        to: begin + location.length + (isBracketed ? 1 : 0),
        score:
          5 +
          (isNamed ? 1.5 : 0) +
          (end === text.length ? 0.5 : 0) -
          Math.max(0, count - 3) * 0.8 -
          (ENDED.test(location) ? 2.5 : 0),
        slots: ['place'],
        said: { placeAt: [begin + /^(?:the\s+)?/iu.exec(location)![0].length, begin + location.length] },
      };
    }
  }
}
