import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { TODO_ORDERS, type TodoOrder } from '@/core/todos/todoGroups';
import { keepPlaceInHistory } from '@/ui/backCloses';

/** What the list of to-dos shows, as its address says. */
export interface TodosLook {
  readonly find: string;
  readonly order: TodoOrder;
  readonly withOver: boolean;
}

const one = (value: string | string[] | undefined): string => [value].flat()[0] ?? '';

/** Reads what the list shows from the address, and changes it there. Places share one address: these names are of this one alone. */
export function useTodosAddress() {
  const { todos, inOrder, withDone } = useGlobalSearchParams();
  const router = useRouter();
  const text = JSON.stringify([one(todos), one(inOrder), one(withDone)]);
  return useMemo(() => {
    const [find = '', named = '', shown = ''] = JSON.parse(text) as string[];
    const look: TodosLook = {
      find,
      order: TODO_ORDERS.find((each) => each === named) ?? 'due',
      withOver: shown === '1',
    };
    return {
      look,
      show(changes: { readonly [Name in keyof TodosLook]?: TodosLook[Name] | undefined }): void {
        const next = { ...look, ...changes, order: changes.order ?? look.order };
        keepPlaceInHistory(true);
        router.setParams({
          todos: next.find || undefined,
          inOrder: next.order === 'due' ? undefined : next.order,
          withDone: next.withOver ? '1' : undefined,
        });
      },
    };
  }, [text, router]);
}
