import { PLACES } from '@/features/shell';

export default PLACES.plan.Screen;
