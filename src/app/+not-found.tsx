import { NotFound } from '@/features/shell';

export default NotFound;
