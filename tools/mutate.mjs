import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';
import { buildServer } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { ROOT, say } from './lib/shell.mjs';

// Whether tests notice when a guard is gone: npm run mutate -- 40 core/src/run. Mutants are drawn at random over the folders, one
// at a time is put into a copy of the tree, and the tests that reach its file run until one fails. Goal: 85 of 100 are killed.
await install();
// What tests of pages load is made by the build.
await buildServer();
const FOLDERS = [
  'core/src/run',
  'core/src/live',
  'server/src/sessions',
  ...['live', 'own-pace', 'classes', 'review'].map((name) => `server/src/features/${name}`),
  'web/src/app/state',
];
const [count = '100', ...chosen] = process.argv.slice(2);
const seed = Number(process.env['MUTATE_SEED'] ?? 1);
/** Tests of a mutant that take longer than this hang: it is killed. */
const PATIENCE_MS = 300_000;
const TREE = [
  'core',
  'contract',
  'server',
  'web',
  'docs',
  'tools',
  'jest.config.mjs',
  'jest.setup.mjs',
  'jest.shared.mjs',
  'tsconfig.base.json',
  'package.json',
];

const SWAPS = new Map([
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
]);

function* files(folder) {
  for (const name of readdirSync(folder).sort()) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) yield* files(path);
    else if (/\.ts$/.test(name) && !/\.test\.ts$/.test(name)) yield path;
  }
}

/** All that could be changed in a file: where, and what stands there instead. */
function mutantsOf(path) {
  const text = readFileSync(path, 'utf8');
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.ES2022, true);
  const mutants = [];
  const put = (node, instead) => mutants.push({ path, from: node.getStart(), to: node.getEnd(), instead });
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node) && SWAPS.has(node.operatorToken.kind)) put(node.operatorToken, SWAPS.get(node.operatorToken.kind));
    if (ts.isIfStatement(node)) {
      put(node.expression, 'true');
      put(node.expression, 'false');
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) put(node, node.operand.getText());
    if (node.kind === ts.SyntaxKind.TrueKeyword && !ts.isLiteralTypeNode(node.parent)) put(node, 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword && !ts.isLiteralTypeNode(node.parent)) put(node, 'true');
    if (ts.isThrowStatement(node)) put(node, ';');
    if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) put(node, ';');
    if (ts.isConditionalExpression(node)) put(node, node.whenFalse.getText());
    ts.forEachChild(node, visit);
  };
  visit(source);
  return mutants;
}

/** The tests of a folder, or of the nearest one around it that has some. */
function testsNear(folder) {
  const here = readdirSync(folder).filter((name) => name.endsWith('.test.ts'));
  return here.length > 0 ? here.map((name) => join(folder, name)) : testsNear(dirname(folder));
}

/** Numbers from 0 to 1, the same for the same seed. Source: mulberry32. */
let state = seed;
function random() {
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
}

const copy = mkdtempSync(join(tmpdir(), 'zeitpunkt-mutants-'));
for (const part of TREE)
  cpSync(join(ROOT, part), join(copy, part), { recursive: true, filter: (path) => !/\/(dist|node_modules|\.angular)$/.test(path) });
// All that is installed, but a cache of its own: what is made of a mutant is nobody else's.
mkdirSync(join(copy, 'node_modules'));
for (const name of readdirSync(join(ROOT, 'node_modules')).filter((one) => one !== '.cache'))
  symlinkSync(join(ROOT, 'node_modules', name), join(copy, 'node_modules', name));
process.once('exit', () => rmSync(copy, { recursive: true, force: true }));

const all = (chosen.length > 0 ? chosen : FOLDERS).flatMap((folder) => [...files(join(copy, folder))].flatMap(mutantsOf));
const drawn = Array.from({ length: Math.min(Number(count), all.length) }, () => all.splice(Math.floor(random() * all.length), 1)[0]);
say(`${drawn.length} mutants, seed ${seed}`);
/**
 * Runs tests in the copy; says whether all passed. Whoever takes too long is ended with all that it has started: what runs the tests
 * of a mutant that never ends would go on for ever.
 */
const pass = async (...which) => {
  const args = ['node_modules/jest/bin/jest.js', ...which, '--bail', '--silent'];
  const child = spawn(process.execPath, args, { cwd: copy, stdio: ['ignore', 'ignore', 'pipe'], detached: true });
  let said = '';
  child.stderr.on('data', (data) => (said += String(data)));
  const end = () => {
    try {
      process.kill(-child.pid, 'SIGKILL');
    } catch {
      // Nobody of them is left.
    }
  };
  const timer = setTimeout(end, PATIENCE_MS);
  process.once('exit', end);
  const [code] = await once(child, 'exit');
  clearTimeout(timer);
  process.off('exit', end);
  end();
  return { passed: code === 0, said };
};
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(1));
// Whoever fails without a mutant would kill every one.
const sound = await pass('--runTestsByPath', ...new Set(drawn.flatMap(({ path }) => testsNear(dirname(path)))));
if (!sound.passed) {
  console.error(`The tests fail without any mutant:\n${sound.said}`);
  process.exit(1);
}
let killed = 0;
for (const { path, from, to, instead } of drawn) {
  const text = readFileSync(path, 'utf8');
  writeFileSync(path, text.slice(0, from) + instead + text.slice(to));
  // Whoever stands beside it notices first; only what lives on is shown to all that reach it.
  const lives =
    (await pass('--runTestsByPath', ...testsNear(dirname(path)))).passed &&
    (await pass('--findRelatedTests', path, '--passWithNoTests')).passed;
  writeFileSync(path, text);
  if (!lives) killed += 1;
  else {
    const line = text.slice(0, from).split('\n').length;
    console.log(`  survives: ${relative(copy, path)}:${line}  ${text.slice(from, to).split('\n')[0]} → ${instead.split('\n')[0]}`);
  }
}
console.log(`${killed} of ${drawn.length} killed (${Math.round((100 * killed) / drawn.length)} %)`);
