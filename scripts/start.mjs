// npm start: installs if needed, builds if needed, serves the app with its demo data and prints the address.
import { build, checkNode, install, mustRun } from './prepare.mjs';

checkNode();
install();
build();
mustRun(process.execPath, ['server/dist/main.mjs'], 'Serving');
