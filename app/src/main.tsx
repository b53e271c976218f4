import '@fontsource-variable/source-serif-4/opsz.css';
import '@fontsource-variable/source-serif-4/opsz-italic.css';
import '@fontsource-variable/archivo/wdth.css';
import 'virtual:antd.css';
import './theme/look.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.tsx';
import { keepOffline } from './offline.ts';
import { whenIdle } from './store/leisure.ts';
import { loadShed, noteUncaught } from './store/shed.ts';
import { trustOwnFiles } from './trust.ts';

noteUncaught();
trustOwnFiles();
// What is kept for the days without a server is fetched when the shed stands open, not beside it.
void loadShed().then(whenIdle).then(keepOffline);
const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
