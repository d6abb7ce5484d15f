import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import type { Plugin } from 'vite'

/** Debian's packages of the faces that `app:fonts` publishes, and where Debian keeps what their authors ask to be said. */
const FACES = ['fonts-roboto-unhinted', 'fonts-lato'].map((name) => `/usr/share/doc/${name}/copyright`)

/** The folder of the package that a module belongs to. */
function packageOf(module: string): string | null {
  const path = module.replace(/^\0/, '').split('?')[0] ?? ''
  if (!path.includes('/node_modules/')) return null
  for (let folder = dirname(path); folder.includes('/node_modules/'); folder = dirname(folder)) {
    const file = join(folder, 'package.json')
    if (existsSync(file) && 'version' in (JSON.parse(readFileSync(file, 'utf8')) as object)) return folder
  }
  return null
}

function noticeOf(folder: string): string {
  const { name, version, license } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')) as Record<
    string,
    string
  >
  const file = readdirSync(folder).find((one) => /^(licen[cs]e|copying)(\.|$)/i.test(one))
  return `${name} ${version} (${license})\n\n${file ? readFileSync(join(folder, file), 'utf8').trim() : 'No licence text comes with it.'}`
}

/** Writes `notices.txt`: the licence of every package of which something is served, as the build found them. */
export function notices(): Plugin {
  const folders = new Set<string>()
  return {
    name: 'notices',
    apply: 'build',
    // Styles and fonts leave the list of a chunk's modules, so modules are noted as they are loaded.
    transform: {
      order: 'pre',
      handler(_, id) {
        const folder = packageOf(id)
        if (folder) folders.add(folder)
      },
    },
    generateBundle() {
      const libraries = [...new Set([...folders].map(noticeOf))].sort()
      const faces = FACES.filter(existsSync).map((file) => readFileSync(file, 'utf8').trim())
      this.emitFile({
        type: 'asset',
        fileName: 'notices.txt',
        source: [...libraries, ...faces].join(`\n\n${'-'.repeat(72)}\n\n`) + '\n',
      })
    },
  }
}
