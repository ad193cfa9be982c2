import { Suspense } from 'react';
import { todosScreen } from '@/features/shell';

export default function Todos() {
  return (
    <Suspense fallback={null}>
      <todosScreen.Later />
    </Suspense>
  );
}
