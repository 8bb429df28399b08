import { useEffect } from 'react';
import { toast, Toaster } from 'sonner';
import { showToasts } from './toast.ts';

/** Shows messages at the corner. */
export function Toasts() {
  useEffect(() => showToasts(toast), []);
  return <Toaster position="bottom-left" duration={3500} toastOptions={{ className: 'toast' }} />;
}
