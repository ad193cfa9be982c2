/** What a link may lead to: pages, addresses and places. All else is shown as the text that it is. */
const OPENED = new Set(['https:', 'http:', 'mailto:', 'tel:', 'sms:', 'sip:', 'geo:', 'xmpp:', 'webcal:']);

/** Whether a text is a link that may be opened by a press. */
export const isOpenable = (text: string): boolean => URL.canParse(text) && OPENED.has(new URL(text).protocol);
