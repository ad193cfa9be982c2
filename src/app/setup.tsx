import { PLACES } from '@/features/shell';

export default PLACES.setup.Screen;
