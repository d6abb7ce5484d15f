// Draws plans with the product's renderer beside each other, then shows them without their letters, with boxes in the
// letters' colours, or the boxes alone in black.
window.draw = (plans, media, columns, done) => {
  document.body.replaceChildren()
  for (const [index, plan] of plans.entries()) {
    const root = document.body.appendChild(document.createElement('div'))
    root.style.cssText = `position:absolute;left:${320 * (index % columns)}px;top:${200 * Math.floor(index / columns)}px`
    const place = root.appendChild(document.createElement('div'))
    const stage = new Drawn.Stage(place, (sha256) => media[sha256])
    stage.show(plan)
    stage.at(0, 0, false)
    place.style.position = 'relative'
  }
  Promise.all([...document.images].map((one) => one.decode().catch(() => null))).then(() => done(null))
}
const lines = () => [...document.querySelectorAll('[data-zone="t"] div')].filter((one) => one.style.whiteSpace === 'pre')
window.show = (what) => {
  document.getElementById('as')?.remove()
  const style = document.head.appendChild(document.createElement('style'))
  style.id = 'as'
  if (what === 'mask')
    style.textContent =
      '.pane-stage, .pane-zone, .pane-item, .pane-item * { background: #fff !important; opacity: 1 !important; border-radius: 0 !important }' +
      '.pane-item > :not(.pane-line):not(:has(.pane-line)), [data-zone="o"], .pane-zone > svg, .pane-item svg { visibility: hidden }' +
      '[data-zone="o"] * { visibility: hidden } .pane-line { background: #000 !important }'
  for (const line of lines()) {
    line.classList.add('pane-line')
    line.dataset.ink ??= line.style.color
    line.dataset.outline ??= line.style.webkitTextStrokeColor || line.style.color
    for (const one of [line, ...line.querySelectorAll('*')]) {
      one.style.webkitTextStroke = '0'
      one.style.color = 'transparent'
    }
    const over = [...line.children].find((one) => one.style.backgroundImage)
    line.style.background = 'none'
    if (over) over.style.visibility = 'hidden'
    if (what === 'ink' || (what === 'outline' && line.dataset.outline === line.dataset.ink)) {
      if (over) {
        over.style.visibility = ''
        over.style.backgroundClip = 'border-box'
      } else line.style.background = line.dataset.ink
    } else if (what === 'outline') line.style.background = line.dataset.outline
    if (what === 'mask') line.style.background = '#000'
  }
}
