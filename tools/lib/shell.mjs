import { spawn, spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

/** The folder of the repository. */
export const ROOT = fileURLToPath(new URL('../..', import.meta.url));

/** Says what is being done, on one line. */
export function say(text) {
  process.stdout.write(`· ${text}\n`);
}

/** Runs a command to its end with its output shown; returns whether it succeeded. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  return status === 0;
}

/** Runs a command that must succeed: otherwise the whole script ends with one line. */
export function must(what, command, args, options = {}) {
  if (run(command, args, options)) return;
  console.error(`${what} failed: ${command} ${args.join(' ')}`);
  process.exit(1);
}

/** Runs a command of an installed package. */
export function bin(name, args, options = {}) {
  return run(process.execPath, [`${ROOT}node_modules/${name}`, ...args], options);
}

/** Runs a command of an installed package beside others; resolves with whether it succeeded and what it said. */
export function binAside(name, args, options = {}) {
  const child = spawn(process.execPath, [`${ROOT}node_modules/${name}`, ...args], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'pipe'],
    ...options,
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += String(data)));
  return new Promise((resolve) => child.on('close', (code) => resolve({ holds: code === 0, said })));
}

/** Starts a command that goes on until it is stopped; ends this process with it. */
export function become(command, args, options = {}) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 1));
}
