import { describe, expect, it } from 'vitest'
import { createSSRApp, defineComponent, h, ref } from 'vue'
import { renderToString } from 'vue/server-renderer'
import { ProblemError } from '../api/client'
import { provideRefusal, typedNumber, useFieldRefusal } from './refusal'

const refused = (path: string): ProblemError =>
  new ProblemError({ title: 'Too wide.', mend: 'Make it smaller.', path, code: 'x', status: 422, params: {} })
const Field = defineComponent({
  props: { path: { type: String, required: true } },
  setup: (props) => {
    const words = useFieldRefusal(() => props.path)
    return () => h('p', words.value)
  },
})
const page = (error: unknown): Promise<string> =>
  renderToString(
    createSSRApp(
      defineComponent(() => {
        const rest = provideRefusal(ref(error))
        return () => [
          h(Field, { path: '/width' }),
          h(Field, { path: '/height' }),
          h('footer', rest.value ? 'for all' : ''),
        ]
      }),
    ),
  )

describe('refusals', () => {
  it('stand beside the field they name, and nowhere else', async () => {
    expect(await page(refused('/set/width'))).toContain('<p>Too wide. Make it smaller.</p><p></p>')
  })
  it('stand once for all where no field is named', async () => {
    const html = await page(refused('/name'))
    expect(html).toContain('<footer>for all</footer>')
    expect(html).not.toContain('Too wide')
  })
})

describe('what was typed', () => {
  it('is a number where it is one, with either decimal sign, else the text itself', () => {
    expect([
      typedNumber('12'),
      typedNumber(' 0,63 '),
      typedNumber('-5'),
      typedNumber('NaN'),
      typedNumber('1e999'),
      typedNumber('wide'),
    ]).toEqual([12, 0.63, -5, 'NaN', '1e999', 'wide'])
  })
})
