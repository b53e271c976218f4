// Type-checks every workspace with its own tsconfig, so that core is proven free of the DOM.
import { together } from './together.mjs';

/** The longest first: they are done in the time of the longest two. */
export const PROJECTS = ['app', 'core/tsconfig.test.json', 'bench', 'e2e', 'core', 'cli', 'server'];

export const TYPES = PROJECTS.map((project) => ({
  script: ['node_modules/typescript-native/bin/tsc', '-p', project],
  words: `The types of ${project}`,
}));

if (import.meta.filename === process.argv[1]) {
  const failed = await together(TYPES);
  if (failed.length > 0) {
    console.error(failed.join('\n'));
    process.exit(1);
  }
  console.log(`types hold in ${PROJECTS.length} projects`);
}
