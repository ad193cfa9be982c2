import { SetupScreen } from '@/features/setup';

export default SetupScreen;
