import { useMemo, useState } from 'react';

/** The size of the pane a drawing lies in, in whole pixels. */
export function useSize(): [React.RefCallback<HTMLDivElement>, { widthPx: number; heightPx: number }] {
  const [size, setSize] = useState({ widthPx: 480, heightPx: 250 });
  const observe = useMemo(
    () => (element: HTMLDivElement | null) => {
      if (!element) return undefined;
      const observer = new ResizeObserver(([entry]) => {
        const { width, height } = entry!.contentRect;
        setSize({ widthPx: Math.floor(width), heightPx: Math.max(170, Math.floor(height)) });
      });
      observer.observe(element);
      return () => {
        observer.disconnect();
      };
    },
    [],
  );
  return [observe, size];
}
