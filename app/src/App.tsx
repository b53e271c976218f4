import { Button, ConfigProvider, Spin } from 'antd';
import { lazy, Suspense, useEffect, useLayoutEffect, useState } from 'react';
import { BrowserRouter, Link, Navigate, Route, Routes } from 'react-router';
import { BackupRhythm } from './parts/BackupRhythm.tsx';
import { Instead } from './parts/Instead.tsx';
import { Mishap } from './parts/Mishap.tsx';
import { PaletteKey } from './screens/palette/PaletteKey.tsx';
import { Rack } from './screens/rack/Rack.tsx';
import { useShed } from './store/shed.ts';
import { whenIdle } from './store/leisure.ts';
import { UpdateBar } from './parts/UpdateBar.tsx';
import { antdTheme } from './theme/antd.ts';
import { styleNonce } from './trust.ts';

/** The rack comes first; the rest when it is gone to. */
const bay = () => import('./screens/bay/Bay.tsx');
const Bay = lazy(() => bay().then(({ Bay: screen }) => ({ default: screen })));
const Start = lazy(() => import('./screens/start/Start.tsx').then(({ Start: screen }) => ({ default: screen })));
const Line = lazy(() => import('./screens/line/Line.tsx').then(({ Line: screen }) => ({ default: screen })));
const Measured = lazy(() =>
  import('./screens/measured/Measured.tsx').then(({ Measured: screen }) => ({ default: screen })),
);
const Drawing = lazy(() => import('./screens/bring/Drawing.tsx').then(({ Drawing: screen }) => ({ default: screen })));
const Scan = lazy(() => import('./screens/bring/Scan.tsx').then(({ Scan: screen }) => ({ default: screen })));
const Photo = lazy(() => import('./screens/bring/Photo.tsx').then(({ Photo: screen }) => ({ default: screen })));
const Rail = lazy(() => import('./screens/bring/Rail.tsx').then(({ Rail: screen }) => ({ default: screen })));
const Keeping = lazy(() =>
  import('./screens/keeping/Keeping.tsx').then(({ Keeping: screen }) => ({ default: screen })),
);
const Riders = lazy(() => import('./screens/riders/Riders.tsx').then(({ Riders: screen }) => ({ default: screen })));
const Sizes = lazy(() => import('./screens/sizes/Sizes.tsx').then(({ Sizes: screen }) => ({ default: screen })));
const family = () => import('./screens/family/Family.tsx');
const Family = lazy(() => family().then(({ Family: screen }) => ({ default: screen })));
const Shelf = lazy(() => import('./screens/shelf/Shelf.tsx').then(({ Shelf: screen }) => ({ default: screen })));
const Settings = lazy(() =>
  import('./screens/settings/Settings.tsx').then(({ Settings: screen }) => ({ default: screen })),
);

/** Longer than this it takes only a large shed, or one that is brought up to date after an update. */
const LONG_ms = 3000;

function Opening() {
  const [isLong, setIsLong] = useState(false);
  useEffect(() => {
    const wait = setTimeout(() => setIsLong(true), LONG_ms);
    return () => clearTimeout(wait);
  }, []);
  return (
    <div className="opening">
      <Spin size="large" aria-label="Opening the shed" />
      {isLong && (
        <p className="quiet" role="status">
          Opening the shed. With thousands of boards it takes half a minute the first time after an update; leave the
          window open.
        </p>
      )}
    </div>
  );
}

export function App() {
  const status = useShed((shed) => shed.status);
  const failure = useShed((shed) => shed.failure);
  const light = useShed((shed) => shed.settings.light);
  const [nonce] = useState(styleNonce);
  // Before any canvas is painted in the colours of the light.
  useLayoutEffect(() => {
    document.documentElement.dataset.light = light;
  }, [light]);
  // What most people open next is there when they do.
  useEffect(() => {
    if (status === 'ready')
      void whenIdle()
        .then(bay)
        .catch(() => undefined);
  }, [status]);
  return (
    <ConfigProvider theme={antdTheme(light)} wave={{ disabled: true }} csp={nonce === undefined ? {} : { nonce }}>
      {status === 'loading' && <Opening />}
      {status === 'failed' && (
        <Instead
          title="The shed could not be opened"
          why={`The browser’s own store said: ${failure ?? 'nothing'}. Nothing in it was changed. Private windows and full disks are the usual reasons.`}
        >
          <Button type="primary" onClick={() => window.location.reload()}>
            Try again
          </Button>
        </Instead>
      )}
      {status === 'ready' && (
        <BrowserRouter>
          <Mishap>
            <PaletteKey />
            <BackupRhythm />
            <UpdateBar />
            <Suspense fallback={<Opening />}>
              <Routes>
                <Route path="/" element={<Rack />} />
                <Route path="/start" element={<Start />} />
                <Route path="/measured" element={<Measured />} />
                <Route path="/bring/drawing" element={<Drawing />} />
                <Route path="/bring/scan" element={<Scan />} />
                <Route path="/bring/photo" element={<Photo />} />
                <Route path="/bring/rail" element={<Rail />} />
                <Route path="/riders" element={<Riders />} />
                <Route path="/riders/:id" element={<Riders />} />
                <Route path="/sizes/:id" element={<Sizes />} />
                <Route path="/family" element={<Family />} />
                <Route path="/line" element={<Line />} />
                <Route path="/shelf" element={<Shelf />} />
                <Route path="/keeping" element={<Keeping />} />
                <Route path="/settings" element={<Settings />} />
                <Route path="/bay/:id" element={<Navigate to="outline" replace />} />
                <Route path="/bay/:id/:step" element={<Bay />} />
                <Route
                  path="*"
                  element={
                    <Instead title="There is nothing at this address">
                      <Link to="/">Go to the rack</Link>
                    </Instead>
                  }
                />
              </Routes>
            </Suspense>
          </Mishap>
        </BrowserRouter>
      )}
    </ConfigProvider>
  );
}
