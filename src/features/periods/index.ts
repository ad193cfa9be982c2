export { PeriodSection } from './PeriodSection';
