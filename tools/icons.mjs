// Picks the icons that the application uses out of @mdi/js (2.9 MB in one file, which a bundler would take whole).
import * as mdi from '@mdi/js';
import { writeFileSync } from 'node:fs';

const names = [
  'account-group-outline',
  'arrow-down',
  'arrow-up',
  'call-merge',
  'drag-vertical',
  'file-outline',
  'image-outline',
  'palette-outline',
  'paperclip',
  'refresh',
  'rss',
  'share-variant-outline',
  'alert-circle-outline',
  'arrow-left',
  'arrow-right',
  'autorenew',
  'bell-outline',
  'bookmark',
  'broom',
  'minus',
  'bookmark-outline',
  'calendar-blank-outline',
  'check',
  'checkbox-blank-outline',
  'checkbox-marked',
  'checkbox-marked-outline',
  'chevron-down',
  'chevron-left',
  'chevron-right',
  'clock-outline',
  'close',
  'content-copy',
  'delete-outline',
  'dots-vertical',
  'download-outline',
  'earth',
  'eye-off-outline',
  'filter',
  'filter-outline',
  'history',
  'home-outline',
  'keyboard-outline',
  'link-variant',
  'magnify',
  'map-marker-outline',
  'flag',
  'weather-pouring',
  'picture-in-picture-bottom-right',
  'flag-outline',
  'clock-plus-outline',
  'bell-sleep-outline',
  'menu-down',
  'menu-up',
  'note-text-outline',
  'open-in-new',
  'pencil-outline',
  'plus',
  'printer-outline',
  'redo-variant',
  'tag-outline',
  'tune-variant',
  'undo-variant',
  'unfold-more-horizontal',
  'unfold-less-horizontal',
  'upload-outline',
  'view-week-outline',
];
const key = (name) =>
  'mdi' +
  name
    .split('-')
    .map((word) => word[0].toUpperCase() + word.slice(1))
    .join('');
const missing = names.filter((name) => !mdi[key(name)]);
if (missing.length > 0) throw new Error(`no such icon: ${missing.join(', ')}`);
const rows = names.map((name) => `  '${name}': '${mdi[key(name)]}',`);
writeFileSync(
  new URL('../src/ui/icons/paths.ts', import.meta.url),
  `// Made by tools/icons.mjs.\nexport const ICON_PATHS = {\n${rows.join('\n')}\n} as const;\nexport type IconName = keyof typeof ICON_PATHS;\n`,
);
console.log(`${rows.length} icons`);
