import { ICON_PATHS, type IconName } from './paths';

const isIconName = (name: unknown): name is IconName => typeof name === 'string' && name in ICON_PATHS;

/** An icon as an SVG path: nothing to load, and hidden from assistive technology. Its meaning is said in words beside it. */
export function AppIcon({ name, color, size }: { name?: unknown; color?: string; size: number }) {
  if (!isIconName(name)) return null;
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden focusable={false} pointerEvents="none">
      <path d={ICON_PATHS[name]} fill={color} />
    </svg>
  );
}
