import { say } from './words'

/** Which screen this is, over all that shows; and the way to its card in Hand-off for who stands before it. */
export class Card {
  private said = ''

  constructor(
    private readonly root: HTMLElement,
    private readonly player: string,
  ) {}

  /** `output` is null where the page is a whole player; nothing is drawn again that stands there already. */
  identify(of: { name: string; surface: string; output: number | null } | null): void {
    this.draw(of && [this.player, of.name, of.surface, of.output === null ? '' : say('output', { output: of.output })])
  }

  /** Beside the code that is to be typed. */
  ask(): void {
    this.draw([])
  }

  private draw(lines: string[] | null): void {
    const said = JSON.stringify(lines)
    if (said === this.said) return
    this.said = said
    this.root.hidden = lines === null
    if (lines === null) return this.root.replaceChildren()
    const image = document.createElement('img')
    image.src = `/api/play/${this.player}/qr`
    image.alt = ''
    const words = [...new Set(lines.filter(Boolean))].map((line) => {
      const word = document.createElement('p')
      word.textContent = line
      return word
    })
    this.root.replaceChildren(image, ...words)
  }
}
