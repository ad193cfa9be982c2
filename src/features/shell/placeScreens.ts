import { later } from '@/ui/later';

/** The screens of the places whose script comes later: fetched ahead, they stand at the first press. */
export const tidyScreen = later(() => import('@/features/later').then((module) => module.TidyScreen));
export const peopleScreen = later(() => import('@/features/later').then((module) => module.PeopleScreen));
export const todosScreen = later(() => import('@/features/later').then((module) => module.TodosScreen));
export const setupScreen = later(() => import('@/features/later').then((module) => module.SetupScreen));
export const smallScreen = later(() => import('@/features/later').then((module) => module.SmallScreen));
export const printScreen = later(() => import('@/features/print').then((module) => module.PrintScreen));
