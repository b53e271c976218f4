// Type-checks every workspace with its own tsconfig, so that core is proven free of the DOM.
import { spawnSync } from 'node:child_process';

const projects = ['core', 'core/tsconfig.test.json', 'app', 'server', 'cli', 'e2e', 'bench'];
let failed = 0;
for (const project of projects) {
  const run = spawnSync(process.execPath, ['node_modules/typescript/bin/tsc', '-p', project], { stdio: 'inherit' });
  if (run.status !== 0) failed += 1;
}
if (failed > 0) process.exit(1);
console.log(`types hold in ${projects.length} projects`);
