import { useWorkspace, workspace } from '@/features/workspace';
import { PlacePage } from './PlacePage';

/** The page of the place that is open, over every other. */
export function PlaceHost() {
  const place = useWorkspace((state) => state.place);
  return place === null ? null : (
    <PlacePage key={place} written={place} onClose={() => workspace.showPlace(null)} />
  );
}
