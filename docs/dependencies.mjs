// Writes docs/dependencies.md: what Wache is built with and ships, with licences, from the packages' own words.
// Run from the project's root after a build: node docs/dependencies.mjs
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';

const PLUGIN = 'org.codehaus.mojo:license-maven-plugin:2.5.0:aggregate-add-third-party';
rmSync('/tmp/wache-licences', { recursive: true, force: true }); // what is there already is not written anew
execFileSync('mvn', ['-q', '-B', '-ntp', PLUGIN, '-Dlicense.excludedGroups=org.wache', '-Dlicense.outputDirectory=/tmp/wache-licences'], { stdio: 'inherit' });
const java = readFileSync('/tmp/wache-licences/THIRD-PARTY.txt', 'utf8')
  .split('\n')
  .map((line) => /^\s*((?:\([^)]*\) ?)+)(.*) \(([^:()]+):([^:()]+):([^ ()]+) - (.*)\)$/.exec(line))
  .filter((found) => found !== null)
  .map(([, licences, , , artifact, version]) => ({
    name: artifact,
    version,
    licence: [...licences.matchAll(/\(([^)]*)\)/g)].map(([, each]) => each.trim()).join('; '),
  }));

const lock = JSON.parse(readFileSync('web/package-lock.json', 'utf8')).packages;
const web = Object.entries(lock)
  .filter(([path, each]) => path !== '' && !each.dev && !each.optional && !each.devOptional)
  .map(([path, each]) => {
    const own = `web/${path}/package.json`;
    const said = existsSync(own) ? JSON.parse(readFileSync(own, 'utf8')).license : each.license;
    return { name: path.replace(/^.*node_modules\//, ''), version: each.version, licence: said ?? each.license ?? 'not said' };
  });

const table = (all) =>
  ['| package | version | licence |', '|---|---|---|', ...all
    .sort((a, b) => a.name.localeCompare(b.name, 'en'))
    .map((each) => `| ${each.name} | ${each.version} | ${each.licence} |`)].join('\n');

writeFileSync('docs/dependencies.md', `# What Wache is built with

Made by \`node docs/dependencies.mjs\` from the packages' own words; a test fails while it is not current. Fonts, styles and scripts
ship with the application; nothing is loaded from elsewhere at run time. PostgreSQL (PostgreSQL Licence) comes from Debian's
packages; Chromium and Hamlib's utilities are for the tests only.

## Java

Those of the tests are among them.

${table(java)}

## The web application

Those that ship with it.

${table(web)}
`);
