// Builds or checks the interface, and does nothing when nothing it depends on has changed.
// Called by Maven: `node build-web.mjs build` and `node build-web.mjs check`.
import { execFileSync } from 'node:child_process';
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
function once(name, inputs, result, work) {
  const mark = join(here, 'target', 'marks', name);
  const now = fingerprint(inputs);
  const done = existsSync(mark) && readFileSync(mark, 'utf8') === now && existsSync(join(here, result));
  if (done) {
    console.log(`web: ${name} is up to date`);
    return;
  }
  work();
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

once('packages', manifest, 'node_modules/.bin/vite', () =>
  run('npm', 'ci', '--no-audit', '--no-fund', '--ignore-scripts'),
);

if (process.argv[2] === 'build') {
  once('build', sources, 'target/classes/static/index.html', () => {
    run(bin('openapi-typescript'), 'src/api/openapi.json', '-o', 'src/api/generated/schema.d.ts');
    const strict = ['--additionalProperties=false', '--ignoreMinAndMaxItems'];
    run(bin('json2ts'), '-i', schema, '-o', 'src/desk/body/generated/body.d.ts', ...strict);
    run(bin('vite'), 'build');
    paperFonts();
  });
} else {
  once('check', checks, 'src/api/generated/schema.d.ts', () => {
    run(bin('prettier'), '--check', '--log-level', 'warn', '.');
    run(bin('eslint'), '--max-warnings', '0', '.');
    run(bin('stylelint'), 'src/**/*.{css,svelte}');
    run(bin('svelte-check'), '--fail-on-warnings', '--output', 'human');
    run(bin('vitest'), 'run');
  });
}
