#!/usr/bin/env node
// Draws some of the small wrong changes that .ci/mutants would make in a package whose tests take
// too long for all of them, makes them one at a time in a copy, and tells how many the tests notice.
// .ci/sample PACKAGE HOW_MANY [SEED]; what was tried is kept in .mutants and not tried again. What makes cards is
// also held by the tests that read them.
import { execFileSync, spawnSync } from 'node:child_process'
import { appendFileSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { basename, dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

const gremlins = 'github.com/go-gremlins/gremlins/cmd/gremlins@v0.6.0'
const home = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const [folder, many, seed = '1'] = process.argv.slice(2)
if (!folder || !many) throw new Error('which package, and how many changes?')
const out = resolve(home, process.env.MUTANTS ?? '.mutants')
mkdirSync(out, { recursive: true })

// What each kind of change makes of the sign it stands at.
const changes = {
  CONDITIONALS_BOUNDARY: { '<': '<=', '<=': '<', '>': '>=', '>=': '>' },
  CONDITIONALS_NEGATION: { '==': '!=', '!=': '==', '<': '>=', '<=': '>', '>': '<=', '>=': '<' },
  ARITHMETIC_BASE: { '+': '-', '-': '+', '*': '/', '/': '*', '%': '*' },
  INCREMENT_DECREMENT: { '++': '--', '--': '++' },
  INVERT_NEGATIVES: { '-': '+' },
}

// The same draw for the same seed.
const order = (text) => { let h = 2166136261; for (const c of text + seed) h = Math.imul(h ^ c.charCodeAt(0), 16777619); return h >>> 0 }

const copy = mkdtempSync(join(tmpdir(), 'sample-'))
process.on('exit', () => rmSync(copy, { recursive: true, force: true }))
process.on('SIGINT', () => process.exit(1))
process.on('SIGTERM', () => process.exit(1))
execFileSync('git', ['clone', '--quiet', home, copy])
const listed = join(copy, 'listed.json')
execFileSync('go', ['run', gremlins, 'unleash', '--dry-run', '--silent', '--output', listed, folder], { cwd: copy })
const commit = execFileSync('git', ['log', '-1', '--format=%h', '--', folder], { cwd: copy, encoding: 'utf8' }).trim()
const all = JSON.parse(readFileSync(listed, 'utf8')).files.flatMap((f) => f.mutations.map((m) => ({ ...m, file: join(folder, basename(f.file_name)) })))
const name = (m) => `${m.file}:${m.line}:${m.column} ${m.type}`
const here = all.filter((m) => m.status === 'RUNNABLE' && existsSync(join(copy, m.file))) // what lies in a folder below is another package
const drawn = here.sort((a, b) => order(name(a)) - order(name(b))).slice(0, Number(many))

const record = join(out, `sample-${folder.replace(/^\.\//, '').replaceAll('/', '-')}.${commit}.txt`)
const known = new Map(existsSync(record) ? readFileSync(record, 'utf8').trim().split('\n').map((l) => l.split(' = ')) : [])
// The tests to run, the quick ones first: those of the package, and of what makes cards those that read cards.
const cards = './core/method'
const makesCards = ['flow', 'method', 'recipe', 'swap', 'larder', 'language', 'lex', 'measure', 'character'].some((p) => folder.replace(/\/$/, '').endsWith(`core/${p}`))
const stages = makesCards ? [[cards, 'TestTheClubsCardsReadAsBefore'], [folder, '.'], [cards, 'TestCardsOfTheCorpusReadBack']] : [[folder, 'AsBefore'], [folder, '.']]
const built = new Set()
const test = ([where, which]) => {
  const binary = join(copy, `tests-${basename(where)}.bin`)
  if (!built.has(where) && spawnSync('go', ['test', '-vet=off', '-c', '-o', binary, where], { cwd: copy }).status !== 0) return 'NOT BUILT'
  built.add(where)
  const run = spawnSync(binary, ['-test.failfast', '-test.timeout=600s', `-test.run=${which}`], { cwd: join(copy, where), stdio: 'ignore' })
  return run.status === 0 ? 'LIVED' : 'KILLED'
}
for (const m of drawn) {
  if (known.has(name(m))) continue
  const path = join(copy, m.file)
  const before = readFileSync(path, 'utf8')
  const lines = before.split('\n')
  const bytes = Buffer.from(lines[m.line - 1])
  const [head, tail] = [bytes.subarray(0, m.column - 1).toString(), bytes.subarray(m.column - 1).toString()]
  const sign = Object.keys(changes[m.type] ?? {}).filter((s) => tail.startsWith(s)).sort((a, b) => b.length - a.length)[0]
  let result = 'NOT MADE'
  if (sign) {
    lines[m.line - 1] = head + changes[m.type][sign] + tail.slice(sign.length)
    writeFileSync(path, lines.join('\n'))
    built.clear()
    for (const stage of stages) {
      result = test(stage)
      if (result !== 'LIVED') break
    }
    writeFileSync(path, before)
  }
  known.set(name(m), result)
  appendFileSync(record, `${name(m)} = ${result}\n`)
}
const count = (r) => drawn.filter((m) => known.get(name(m)) === r).length
const [killed, lived] = [count('KILLED'), count('LIVED')]
const share = killed / Math.max(1, killed + lived)
const within = 1.96 * Math.sqrt((share * (1 - share)) / Math.max(1, killed + lived))
console.log(`| ${folder.replace(/^\.\//, '')} | ${all.length} | ${killed + lived} drawn | ${killed} | ${lived} | ${(100 * share).toFixed(1)} % ± ${(100 * within).toFixed(0)} |`)
