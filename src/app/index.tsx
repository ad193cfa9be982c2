import { PlanScreen } from '@/features/plan';

export default PlanScreen;
