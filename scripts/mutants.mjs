// npm run mutants -- [folder] --count n --seed s [--jobs j] [--list] [--from k]: `folder` is one of core/src, app/src/store, cli/src,
// server/src or lies below one, all four if it is left out; from the k-th of the sample on, to go on with a run that was stopped.
// Puts one small fault at a time into a copy of the project and runs the related unit tests on it: which faults do they notice?
// A script of ours and not a mutation framework: those take every place of a file, and this asks for a seeded sample of some
// hundred over the four, so that the same faults can be put in again after the tests were mended.
import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, dirname, join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import ts from 'typescript';
import { filesIn, importersOf, isTest } from './imports.mjs';
import { root } from './prepare.mjs';
import { seeded } from './seeded.mjs';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    count: { type: 'string', default: '40' },
    seed: { type: 'string', default: '1' },
    jobs: { type: 'string', default: '2' },
    list: { type: 'boolean', default: false },
    out: { type: 'string' },
    from: { type: 'string', default: '1' },
  },
});
/** The parts whose faults unit tests are meant to notice. */
const PARTS = ['core/src', 'app/src/store', 'cli/src', 'server/src'];
const asked = positionals[0]?.replace(/\/$/, '');
const folders = asked === undefined ? PARTS : [asked];
for (const folder of folders) {
  if (PARTS.some((part) => folder === part || folder.startsWith(`${part}/`))) continue;
  console.error(`${folder} is not in ${PARTS.join(', ')}`);
  process.exit(1);
}
const source = join(root, 'core', 'src');
/** Longer than any test file takes here alone: a fault that never ends counts as noticed. */
const LIMIT_ms = 240_000;

const SWAPS = {
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
  [ts.SyntaxKind.LessThanToken]: '>=',
  [ts.SyntaxKind.LessThanEqualsToken]: '>',
  [ts.SyntaxKind.GreaterThanToken]: '<=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '<',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
  [ts.SyntaxKind.PlusEqualsToken]: '-=',
  [ts.SyntaxKind.MinusEqualsToken]: '+=',
};

/** Every place of one file where a small fault can be put: from, to, and what stands there instead. */
function faultsIn(file) {
  const text = readFileSync(file, 'utf8');
  const parsed = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const faults = [];
  const put = (node, instead) => {
    const { line } = parsed.getLineAndCharacterOfPosition(node.getStart(parsed));
    const [from, to] = [node.getStart(parsed), node.getEnd()];
    faults.push({ file, line: line + 1, from, to, was: text.slice(from, to), instead });
  };
  const visit = (node) => {
    // Types, imports and words are no arithmetic.
    if (ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return;
    if (ts.isTypeNode(node) && !ts.isExpressionWithTypeArguments(node)) return;
    if (ts.isThrowStatement(node)) return;
    if (ts.isBinaryExpression(node)) {
      const swap = SWAPS[node.operatorToken.kind];
      const words = [node.left, node.right].some(
        (side) => ts.isStringLiteralLike(side) || ts.isTemplateExpression(side),
      );
      if (swap && !(words && node.operatorToken.kind === ts.SyntaxKind.PlusToken)) put(node.operatorToken, swap);
    } else if (ts.isNumericLiteral(node) && !ts.isElementAccessExpression(node.parent)) {
      const value = Number(node.text);
      put(node, value === 0 ? '1' : `(${node.text} * 1.5)`);
    } else if (ts.isConditionalExpression(node)) {
      put(node, `(${node.whenTrue.getText(parsed)})`);
      put(node, `(${node.whenFalse.getText(parsed)})`);
    } else if (ts.isPropertyAccessExpression(node) && node.expression.getText(parsed) === 'Math') {
      if (node.name.text === 'min') put(node.name, 'max');
      if (node.name.text === 'max') put(node.name, 'min');
      if (['sin', 'cos'].includes(node.name.text)) put(node.name, node.name.text === 'sin' ? 'cos' : 'sin');
    } else if (ts.isPrefixUnaryExpression(node)) {
      if (node.operator === ts.SyntaxKind.MinusToken || node.operator === ts.SyntaxKind.ExclamationToken)
        put(node, `(${node.operand.getText(parsed)})`);
    } else if (ts.isIfStatement(node)) {
      put(node.expression, 'false');
    } else if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true');
    else if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) put(node, ';');
    ts.forEachChild(node, visit);
  };
  visit(parsed);
  return faults;
}

const sources = folders
  .flatMap(filesIn)
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.includes(`${join('src', 'testing')}`))
  .filter((file) => basename(file) !== 'index.ts' && !file.includes(join('src', 'demo')))
  .sort();
const all = sources.flatMap(faultsIn);
const random = seeded(Number(values.seed));
const chosen = [];
for (const pool = [...all]; chosen.length < Number(values.count) && pool.length > 0;)
  chosen.push(...pool.splice(Math.floor(random() * pool.length), 1));

const short = (code) => code.replace(/\s+/g, ' ').slice(0, 60);
const said = ({ file, line, was, instead }) => `${relative(root, file)}:${line}  ${short(was)}  ->  ${short(instead)}`;
if (values.list) {
  for (const fault of chosen) console.log(said(fault));
  process.exit(0);
}

/** A copy of the project of one job's own; packages are shared, but for the project's own, which are the copy's. */
function copyOf(job) {
  const home = mkdtempSync(join(tmpdir(), `mutants-${job}-`));
  const left = ['node_modules', '.git', 'dist', 'test-results', 'screenshots'];
  for (const part of readdirSync(root).filter((name) => !left.includes(name)))
    cpSync(join(root, part), join(home, part), { recursive: true, filter: (path) => !left.includes(basename(path)) });
  mkdirSync(join(home, 'node_modules'));
  for (const name of readdirSync(join(root, 'node_modules')).filter((name) => name !== '@june-tide'))
    symlinkSync(join(root, 'node_modules', name), join(home, 'node_modules', name));
  mkdirSync(join(home, 'node_modules', '@june-tide'));
  for (const name of ['core', 'app', 'cli', 'server'])
    symlinkSync(join(home, name), join(home, 'node_modules', '@june-tide', name));
  return home;
}

function jest(home, args) {
  return new Promise((done) => {
    const child = spawn(
      process.execPath,
      [
        '--experimental-vm-modules',
        '--no-warnings',
        'node_modules/jest/bin/jest.js',
        '--bail',
        '--silent',
        '--runInBand',
        '--passWithNoTests',
        '--testTimeout=60000',
        ...args,
      ],
      { cwd: home, stdio: 'ignore', env: { TEST_RUNS: '0.1', ...process.env } },
    );
    const timer = setTimeout(() => child.kill('SIGKILL'), LIMIT_ms);
    child.on('exit', (code) => {
      clearTimeout(timer);
      done(code === 0);
    });
  });
}

const importers = importersOf();

/** How many imports away a test may be to be asked; a fault that only a farther test would notice counts as missed. */
const NEAR = 3;

/** The record of what core works out of four boards: asked last, of every fault; of what brings boards in, that of boards brought in. */
const RECORD = join(source, 'testing', 'numbers.test.ts');
const BROUGHT = join(source, 'testing', 'numbersBrought.test.ts');
const recordOf = (file) => {
  if (!file.startsWith(source)) return undefined;
  return file.startsWith(join(source, 'bring')) ? BROUGHT : RECORD;
};

/** The tests that come to a file through imports, the nearest first, each with those equally near; then the record. */
function testsNear(file) {
  const seen = new Set([file]);
  const rings = [];
  let edge = [file];
  for (let step = 1; step <= NEAR; step++) {
    edge = edge.flatMap((at) => importers.get(at) ?? []).filter((at) => !seen.has(at) && seen.add(at));
    rings.push(edge.filter(isTest));
  }
  const beside = `${file.slice(0, -3)}.test.ts`;
  const near = rings.map((ring) => ring.filter((at) => at !== beside && at !== RECORD && at !== BROUGHT));
  const own = rings.flat().filter((at) => at === beside);
  const record = recordOf(file);
  // The record of what is brought in takes less time than a scan.
  if (record === BROUGHT) return [own, [BROUGHT], ...near];
  return record === undefined ? [own, ...near] : [own, ...near, [record]];
}

/** Is the fault noticed? Asked of the nearest tests first. */
async function noticed(home, { file, from, to, instead }) {
  const copy = join(home, relative(root, file));
  const text = readFileSync(copy, 'utf8');
  writeFileSync(copy, text.slice(0, from) + instead + text.slice(to));
  try {
    for (const ring of testsNear(file)) {
      if (ring.length > 0 && !(await jest(home, ['--runTestsByPath', ...ring.map((test) => relative(root, test))]))) {
        return true;
      }
    }
    return false;
  } finally {
    writeFileSync(copy, text);
  }
}

const results = [];
let next = Number(values.from) - 1;
async function work(job) {
  const home = copyOf(job);
  try {
    if (job === 0 && !(await jest(home, ['core/src/units', 'app/src/store/today.test.ts', 'server/src']))) {
      console.error('Without a fault the tests do not pass in a copy of the project: nothing can be told.');
      process.exit(1);
    }
    while (next < chosen.length) {
      const fault = chosen[next++];
      const isNoticed = await noticed(home, fault);
      results.push({ fault, isNoticed });
      console.log(`${String(results.length).padStart(4)} ${isNoticed ? 'noticed ' : 'SURVIVED'} ${said(fault)}`);
    }
  } finally {
    rmSync(home, { recursive: true, force: true });
  }
}
const began = Date.now();
await Promise.all(Array.from({ length: Number(values.jobs) }, (_, job) => work(job)));

const byFolder = new Map();
for (const { fault, isNoticed } of results) {
  const name = fault.file.startsWith(source)
    ? join('core', relative(source, fault.file).split('/')[0])
    : relative(root, dirname(fault.file));
  const [killed, count] = byFolder.get(name) ?? [0, 0];
  byFolder.set(name, [killed + (isNoticed ? 1 : 0), count + 1]);
}
const percent = (killed, count) => `${Math.round((100 * killed) / count)} %`;
const killed = results.filter(({ isNoticed }) => isNoticed).length;
const table = [
  `| folder | faults | noticed | share |`,
  `| ------ | -----: | ------: | ----: |`,
  ...[...byFolder].sort().map(([name, [k, n]]) => `| ${name} | ${n} | ${k} | ${percent(k, n)} |`),
  `| all | ${results.length} | ${killed} | ${percent(killed, results.length)} |`,
].join('\n');
console.log(
  `\n${table}\n\n${all.length} places; seed ${values.seed}; ${Math.round((Date.now() - began) / 1000)} seconds`,
);
if (values.out) writeFileSync(values.out, `${table}\n`);
