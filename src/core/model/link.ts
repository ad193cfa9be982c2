/** What a link may lead to: pages, addresses and places. All else is shown as the text that it is. */
const OPENED = new Set(['https:', 'http:', 'mailto:', 'tel:', 'sms:', 'sip:', 'geo:', 'xmpp:', 'webcal:']);

/** Whether a text is a link that may be opened by a press. */
export const isOpenable = (text: string): boolean => URL.canParse(text) && OPENED.has(new URL(text).protocol);

const WRITTEN = /(?<![\p{L}\p{N}])(?:https?:\/\/|www\.)[^\s<>"]+/giu;

/** A link as it stands in a text. */
export interface WrittenLink {
  /** Where it stands, half-open, in UTF-16 units. */
  readonly from: number;
  readonly to: number;
  /** Where it leads. */
  readonly url: string;
}

/** The links to pages in a text, in order: what punctuates the sentence after one is not part of it. */
export function* linksIn(text: string): Generator<WrittenLink> {
  for (const { 0: written, index: from } of text.matchAll(WRITTEN)) {
    const link = written.replace(/[.,;:!?)'\]]+$/u, '');
    yield { from, to: from + link.length, url: /^www\./i.test(link) ? `https://${link}` : link };
  }
}

/** Whether a text is the address of a page. */
export const isPage = (text: string): boolean => /^https?:\/\/\S+$/.test(text);
