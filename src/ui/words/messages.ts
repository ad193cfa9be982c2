import { plural } from './plural';

/** The words of e-mails and text messages, and of what Setup says of them. */
export const messageWords = {
  subject: (title: string, when: string) => `${title}: ${when}`,
  when: (day: string, time: string) => (time ? `${day}, ${time}` : day),
  due: (day: string, time: string) => `due ${time ? `${day}, ${time}` : day}`,
  leave: (time: string) => `Leave ${time}.`,
  runDown: {
    subject: (day: string) => `Your day: ${day}`,
    nothing: 'Nothing is in the calendar.',
    free: (range: string) => `Free ${range}`,
    freeTitle: 'Free for an hour or more',
    goneTitle: 'Gone since yesterday',
    changes: { new: ' (new)', changed: ' (changed)' },
    leave: (time: string) => `, leave ${time}`,
    at: (place: string) => `, ${place}`,
  },
  setup: {
    addresses: 'Where your messages go',
    email: 'E-mail address',
    phone: 'Number for text messages',
    emailWrong: 'This is not an e-mail address.',
    phoneWrong: 'This is not a telephone number.',
    simulated:
      'Simulated: e-mails and text messages go to a stand-in on the server. Nothing is sent to anybody; the outbox shows what would go out.',
    outbox: 'Open the outbox',
    runDown: 'The day’s run-down by e-mail',
    runDownAt: 'At',
    runDownDays: 'On these weekdays',
    runDownPreview: 'How the next one reads',
    runDownNone: 'None: say an address and at least one weekday.',
    handed: (count: number, when: string) =>
      `${plural(count, 'message')} for the next fourteen days handed over ${when}.`,
    none: 'Nothing is to be sent in the next fourteen days.',
    failed: 'The server is out of reach: messages wait here, and are handed over when it is back.',
    refused: 'The server does not take these messages. Look at the address and the number.',
    tooMany: (left: number) =>
      `${plural(left, 'later message')} are handed over when their time is nearer: there is room for 500.`,
    missing: {
      email: (count: number) => `${plural(count, 'reminder')} by e-mail have no address to go to.`,
      text: (count: number) => `${plural(count, 'reminder')} by text message have no number to go to.`,
    },
  },
} as const;
