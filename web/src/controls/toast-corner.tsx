import { Suspense } from 'react';
import { room } from './room.tsx';
import { toastsAreDue } from './toast.ts';

const Toasts = room(async () => (await import('./toasts.tsx')).Toasts);

/** Where messages are shown, once there may be any. */
export function ToastCorner() {
  return toastsAreDue.use() ? (
    <Suspense fallback={null}>
      <Toasts />
    </Suspense>
  ) : null;
}
