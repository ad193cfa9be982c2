import type { Attachment } from '@/core/model/attachment';

/** Small made-up files that entries of the demo bear. */
const TOWER = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 320 240" width="640" height="480">
<rect width="320" height="240" fill="#cfe3e6"/><circle cx="258" cy="52" r="22" fill="#f2b134"/>
<path d="M0 196 Q80 176 160 196 T320 192 V240 H0 Z" fill="#3d7d86"/>
<path d="M96 204 Q150 168 214 204 Z" fill="#6d6a5f"/>
<path d="M140 184 L146 84 H174 L180 184 Z" fill="#fbfcf9"/>
<path d="M142.500 150 L144.500 120 H175.500 L177.500 150 Z" fill="#b4452f"/>
<rect x="140" y="76" width="40" height="8" fill="#14524a"/><rect x="148" y="54" width="24" height="22" fill="#f7d98a"/>
<path d="M144 54 L160 38 L176 54 Z" fill="#b4452f"/>
</svg>`;

const FIGURES = [
  'Store,Part,Count,Ordered',
  'Fennick,Lantern pane,14,6',
  'Fennick,Wick,220,0',
  'Gull Point,Lens clamp,9,12',
  'Skerry,Tower paint (litre),35,40',
].join('\n');

/** A page that says what it is, as small as the format allows. */
function crane(): string {
  const stream =
    'BT /F1 20 Tf 60 760 Td (Crane plan, boat shed) Tj 0 -34 Td /F1 12 Tf (Reach 6 m, load 800 kg. Made up.) Tj ET';
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
    '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents 4 0 R /Resources << /Font << /F1 5 0 R >> >> >>',
    `<< /Length ${stream.length} >>\nstream\n${stream}\nendstream`,
    '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>',
  ];
  let text = '%PDF-1.4\n';
  const places = objects.map((object, index) => {
    const at = text.length;
    text += `${index + 1} 0 obj\n${object}\nendobj\n`;
    return at;
  });
  const table = text.length;
  const lines = places.map((at) => `${String(at).padStart(10, '0')} 00000 n \n`);
  text += `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${lines.join('')}`;
  return `${text}trailer\n<< /Size ${objects.length + 1} /Root 1 0 R >>\nstartxref\n${table}\n%%EOF\n`;
}

const FILES = {
  tower: { name: 'skerry tower.svg', mediaType: 'image/svg+xml', text: TOWER },
  figures: { name: 'stores figures.csv', mediaType: 'text/csv', text: FIGURES },
  crane: { name: 'crane plan.pdf', mediaType: 'application/pdf', text: crane() },
};

const idOf = (name: string): string => `demo-file-${name}`;

/** The bytes of the demo's attachments in base 64, by their ids. */
export const files: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(FILES).map(([name, { text }]) => [idOf(name), Buffer.from(text).toString('base64')]),
);

/** What an entry says of the files that it bears. */
export const attached = (...names: (keyof typeof FILES)[]): { attachments: Attachment[] } => ({
  attachments: names.map((name) => {
    const { text, ...file } = FILES[name];
    return { id: idOf(name), name: file.name, mediaType: file.mediaType, size: Buffer.byteLength(text) };
  }),
});
