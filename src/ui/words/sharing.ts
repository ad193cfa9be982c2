import type { ShareDepth } from '@/core/model/share';
import { and } from './people';
import { plural } from './plural';

/** The words of who sees what of one's own. */
export const sharingWords = {
  open: 'What others see',
  title: 'What others see',
  about:
    'Whoever sees something has a secret address of their own, served by this server: a stand-in for the office’s. Private entries are only “busy” to all but who acts for you with private ones.',
  nobody: 'Nobody sees anything of yours yet. Choose a colleague or a group.',
  colleagues: 'Colleagues',
  groups: 'Groups',
  nothing: 'Sees nothing',
  choose: (name: string) => `Choose what ${name} sees`,
  seesTitle: (name: string) => `What ${name} sees`,
  section: 'What you share',
  depth: (calendar: string) => `${calendar}: what is seen`,
  depths: {
    groups: 'As the group',
    nothing: 'Nothing',
    busy: 'Busy',
    titles: 'Titles',
    everything: 'Everything',
  } satisfies Record<ShareDepth | 'groups', string>,
  byGroups: (depth: ShareDepth) => `By their groups: ${sharingWords.depths[depth].toLowerCase()}`,
  mayChange: 'May add and change',
  mayChangeIn: (calendar: string) => `May add and change in ${calendar}`,
  closed: 'Can’t be changed by anybody here',
  acting: 'Acts for you',
  actings: { no: 'No', open: 'With open entries', all: 'With private ones too' },
  actingAbout: (name: string) =>
    `${name} sees everything and may add and change in all of your calendars. One colleague at a time can.`,
  takesFrom: (name: string) => `${name} acts for you now, and will not any more.`,
  save: 'Keep',
  kept: 'Kept as it is',
  asSeen: (name: string) => `As ${name} sees it`,
  asSeenAbout: 'Read from the very file that is served.',
  seesNone: 'There is nothing to see.',
  unread: 'It can’t be shown just now.',
  renew: 'Make the address anew',
  addressLater: 'The address stands here once this is kept.',
  earlier: 'Earlier',
  later: 'Later',
  part: (depth: ShareDepth, names: readonly string[]) =>
    `${and(names)}: ${sharingWords.depths[depth].toLowerCase()}`,
  actsShort: (withPrivate: boolean) => (withPrivate ? 'Acts for you, with private entries' : 'Acts for you'),
  members: (count: number) => plural(count, 'colleague'),
};
