/** Stands in for the icon font of Paper's components: checkboxes and others ask for it themselves, past the theme's icons (see metro.config.js). */
export { AppIcon as default } from './AppIcon';

export const accessibilityProps = { role: 'img', focusable: false } as const;
