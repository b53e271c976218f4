import { lazy, Suspense, useEffect, useState } from 'react';

/** It comes when it is first asked for. */
const Palette = lazy(() => import('./Palette.tsx'));

/** Ctrl K anywhere opens the palette, and closes it. */
export function PaletteKey() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
      event.preventDefault();
      setOpen((now) => !now);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  if (!open) return null;
  return (
    <Suspense fallback={null}>
      <Palette onClose={() => setOpen(false)} />
    </Suspense>
  );
}
