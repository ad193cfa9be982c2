import { PLACES } from '@/features/shell';

export default PLACES.people.Screen;
