/** What the space bar presses besides buttons and fields, which the browser knows (ARIA Authoring Practices). */
const PRESSED = [
  'checkbox',
  'radio',
  'switch',
  'option',
  'tab',
  'menuitem',
  'menuitemradio',
  'menuitemcheckbox',
];

/** Lets the space bar press whatever ARIA says that it presses: React Native for the web knows it of buttons alone. */
export function installSpacePresses(page: Document): void {
  page.addEventListener('keydown', (event) => {
    const { target } = event;
    if (event.key !== ' ' || event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
    if (!(target instanceof HTMLElement) || /^(BUTTON|INPUT|A)$/.test(target.tagName)) return;
    if (!PRESSED.includes(target.getAttribute('role') ?? '') || target.ariaDisabled === 'true') return;
    event.preventDefault();
    event.stopPropagation();
    if (!event.repeat) target.click();
  });
}
