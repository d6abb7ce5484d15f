// Names that a front-end file exports and no other file mentions. Kept here because the usual tools either do not read
// .vue files or cannot be installed from every registry.
import { readdirSync, readFileSync } from 'node:fs'

const files = readdir('frontend/src').map((path) => ({ path, text: readFileSync(path, 'utf8') }))
const entries = ['main.ts', 'sw.ts', 'index.ts', 'router.ts']
let unused = 0
for (const { path, text } of files.filter((file) => file.path.endsWith('.ts') && !entries.some((entry) => file.path.endsWith(`/${entry}`)))) {
  for (const [, name] of text.matchAll(/^export (?:async )?(?:const|function|class|interface|type) (\w+)/gm)) {
    const inside = text.split(new RegExp(`\\b${name}\\b`)).length > 2 && /^(interface|type)/.test(text.slice(text.indexOf(name) - 12).replace(/^.*export /s, ''))
    if (!inside && !files.some((file) => file.path !== path && new RegExp(`\\b${name}\\b`).test(file.text))) {
      console.log(`${path}: ${name} is exported and never used`)
      unused++
    }
  }
}
process.exit(unused ? 1 : 0)

function readdir(root) {
  return readdirSync(root, { recursive: true }).map((path) => `${root}/${path}`).filter((path) => /\.(ts|vue)$/.test(path))
}
