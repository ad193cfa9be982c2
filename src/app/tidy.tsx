import { PLACES } from '@/features/shell';

export default PLACES.tidy.Screen;
