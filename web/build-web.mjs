// Builds or checks the interface, and does nothing when nothing it depends on has changed.
// Called by Maven: `node build-web.mjs build` and `node build-web.mjs check`.
import { execFileSync, spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { availableParallelism } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = dirname(fileURLToPath(import.meta.url));
const bin = (name) => join(here, 'node_modules', '.bin', name);
const oldestNode = 20;

function files(path) {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  return readdirSync(path)
    .filter((name) => name !== 'generated')
    .sort()
    .flatMap((name) => files(join(path, name)));
}

function fingerprint(paths) {
  const hash = createHash('sha256');
  for (const file of paths.flatMap((path) => files(join(here, path)))) {
    hash.update(file.slice(here.length));
    hash.update(readFileSync(file));
  }
  return hash.digest('hex');
}

/** Runs `work` unless it has been done for the same inputs and left its result behind. */
async function once(name, inputs, result, work) {
  const mark = join(here, 'target', 'marks', name);
  const now = fingerprint(inputs);
  const done = existsSync(mark) && readFileSync(mark, 'utf8') === now && existsSync(join(here, result));
  if (done) {
    console.log(`web: ${name} is up to date`);
    return;
  }
  await work();
  mkdirSync(dirname(mark), { recursive: true });
  writeFileSync(mark, now);
}

function run(command, ...args) {
  try {
    execFileSync(command, args, { cwd: here, stdio: 'inherit' });
  } catch {
    console.error(`web: ${command.split('/').pop()} ${args.join(' ')} failed`);
    process.exit(1);
  }
}

/** Runs a command, and gives what it said once it has ended. */
function ended([command, ...args]) {
  return new Promise((resolve) => {
    const said = [];
    const child = spawn(bin(command), args, { cwd: here, stdio: ['ignore', 'pipe', 'pipe'] });
    child.stdout.on('data', (part) => said.push(part));
    child.stderr.on('data', (part) => said.push(part));
    child.on('error', (error) => said.push(Buffer.from(`${error.message}\n`)));
    child.on('close', (code) => resolve({ command, code, said: Buffer.concat(said).toString() }));
  });
}

/** Runs commands side by side, as many as there are processors, since most of them use one; ends when one fails. */
async function runAll(commands) {
  const waiting = [...commands];
  const worker = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const { command, code, said } = await ended(next);
      process.stdout.write(said);
      if (code !== 0) {
        console.error(`web: ${command} failed`);
        process.exit(1);
      }
    }
  };
  await Promise.all(Array.from({ length: availableParallelism() }, worker));
}

/** The fonts of papers, which the server sets them in and no browser asks for. */
function paperFonts() {
  const from = join(here, 'node_modules', 'dejavu-fonts-ttf', 'ttf');
  const to = join(here, 'target', 'classes', 'paper');
  mkdirSync(to, { recursive: true });
  const wanted =
    /^DejaVu(Sans|SansCondensed|SansMono|Serif)(-(Bold|Oblique|BoldOblique|Italic|BoldItalic))?\.ttf$/;
  for (const font of readdirSync(from).filter((name) => wanted.test(name)))
    copyFileSync(join(from, font), join(to, font));
  copyFileSync(join(from, '..', 'LICENSE'), join(to, 'LICENSE'));
}

if (Number(process.versions.node.split('.')[0]) < oldestNode) {
  console.error(`web: Node ${process.versions.node} is too old; install Node ${oldestNode} or newer.`);
  process.exit(1);
}

const manifest = ['package.json', 'package-lock.json'];
const settings = ['index.html', 'vite.config.ts', 'tsconfig.json', 'svelte.config.js', 'build-web.mjs'];
const schema = '../docs/body.schema.json';
const sources = [...manifest, ...settings, 'src', 'public', schema];
const checks = [...sources, 'eslint.config.js', '.prettierrc.json', '.stylelintrc.json'];

await once('packages', manifest, 'node_modules/.bin/vite', () =>
  run('npm', 'ci', '--no-audit', '--no-fund', '--ignore-scripts'),
);

if (process.argv[2] === 'build') {
  await once('build', sources, 'target/classes/static/index.html', () => {
    run(bin('openapi-typescript'), 'src/api/openapi.json', '-o', 'src/api/generated/schema.d.ts');
    const strict = ['--additionalProperties=false', '--ignoreMinAndMaxItems'];
    run(bin('json2ts'), '-i', schema, '-o', 'src/desk/body/generated/body.d.ts', ...strict);
    run(bin('vite'), 'build');
    paperFonts();
  });
} else {
  await once('check', checks, 'src/api/generated/schema.d.ts', async () => {
    await runAll([
      ['eslint', '--max-warnings', '0', '.'],
      ['svelte-check', '--fail-on-warnings', '--output', 'human'],
      ['prettier', '--check', '--log-level', 'warn', '.'],
      ['stylelint', 'src/**/*.{css,svelte}'],
    ]);
    run(bin('vitest'), 'run');
  });
}
