import { Button, ConfigProvider, Result, Spin } from 'antd';
import { useLayoutEffect } from 'react';
import { BrowserRouter, Link, Navigate, Route, Routes } from 'react-router';
import { Bay } from './screens/bay/Bay.tsx';
import { Rack } from './screens/rack/Rack.tsx';
import { Settings } from './screens/settings/Settings.tsx';
import { Start } from './screens/start/Start.tsx';
import { useShed } from './store/shed.ts';
import { antdTheme } from './theme/antd.ts';

export function App() {
  const status = useShed((shed) => shed.status);
  const failure = useShed((shed) => shed.failure);
  const light = useShed((shed) => shed.settings.light);
  // Before any canvas is painted in the colours of the light.
  useLayoutEffect(() => {
    document.documentElement.dataset.light = light;
  }, [light]);
  return (
    <ConfigProvider theme={antdTheme(light)} wave={{ disabled: true }}>
      {status === 'loading' && (
        <Spin size="large" style={{ margin: '40vh auto', display: 'block' }} aria-label="Opening the shed" />
      )}
      {status === 'failed' && (
        <Result
          status="warning"
          title="The shed could not be opened"
          subTitle={`The browser’s own store said: ${failure ?? 'nothing'}. Nothing in it was changed. Private windows and full disks are the usual reasons.`}
          extra={
            <Button type="primary" onClick={() => window.location.reload()}>
              Try again
            </Button>
          }
        />
      )}
      {status === 'ready' && (
        <BrowserRouter>
          <Routes>
            <Route path="/" element={<Rack />} />
            <Route path="/start" element={<Start />} />
            <Route path="/settings" element={<Settings />} />
            <Route path="/bay/:id" element={<Navigate to="outline" replace />} />
            <Route path="/bay/:id/:step" element={<Bay />} />
            <Route
              path="*"
              element={<Result title="There is nothing at this address" extra={<Link to="/">Go to the rack</Link>} />}
            />
          </Routes>
        </BrowserRouter>
      )}
    </ConfigProvider>
  );
}
