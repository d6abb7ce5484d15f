<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { call, ProblemError } from '../api/client'
import type { EdidAnswer, Figures, Finding, Pair, Shape, SheetFields, StandardMode } from '../api/types'
import FindingMark from '../ui/FindingMark.vue'
import { millimetres, pixels, ratioText } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import EdidField from './EdidField.vue'
import FigureFields from './FigureFields.vue'
import PanelList from './PanelList.vue'
import { provideRefusal } from './refusal'
import ShapeDrawing from './ShapeDrawing.vue'
import { useSurfaces } from './surfaces'
import { freed, moved, useResolved } from './useResolved'
import WallFields from './WallFields.vue'

const { t } = useI18n()
const router = useRouter()
const surfaces = useSurfaces()
const ways = ['mode', 'numbers', 'edid', 'wall'] as const
const way = ref<(typeof ways)[number]>('mode')
const name = ref('')
const kind = ref<SheetFields['kind']>('LCD')
const portrait = ref(false)
const rotation = ref(0)
const modes = ref<StandardMode[]>([])
const mode = ref('1920 1080')
const edid = ref<EdidAnswer | null>(null)
const figures = ref<Figures | null>(null)
const shape = ref<Shape | null>(null)
const chosen = ref<string | null>(null)
const error = ref<unknown>(null)
const questions = ref<Finding[]>([])
const madeAs = crypto.randomUUID()
provideRefusal(error)

const native = computed<Pair | null>(() => {
  if (way.value === 'mode') return mode.value.split(' ').map(Number) as Pair
  return way.value === 'edid' ? (edid.value?.native ?? null) : null
})
const active = computed<Pair | null>(() => (way.value === 'edid' ? (edid.value?.active_mm ?? null) : null))
const { resolved, error: unresolved } = useResolved(() => shape.value)

/** The panel's figures are known: it becomes the shape, or the panel of the wall that is being described. */
watch([figures, rotation, way], () => {
  const known = figures.value
  questions.value = []
  if (!known) {
    shape.value = null
    return
  }
  const panel = { native: known.native, active_mm: known.active_mm }
  if (way.value !== 'wall') shape.value = { panels: [{ ...panel, rotation: rotation.value }] }
  else if (!shape.value?.panels || shape.value.panels.length < 2) shape.value = { ...(shape.value?.grid ? shape.value : { mode: 'compensated' }), grid: { columns: 2, rows: 2, ...shape.value?.grid, panel: { bezel_mm: [0, 0, 0, 0], ...shape.value?.grid?.panel, ...panel } } }
})
watch(portrait, (stands) => {
  if (way.value !== 'wall' && figures.value) rotation.value = stands === figures.value.native[1] > figures.value.native[0] ? 0 : 90
})

async function make(sure: boolean): Promise<void> {
  error.value = null
  questions.value = []
  if (!shape.value) return
  try {
    const made = await surfaces.make({ made_as: madeAs, name: name.value, kind: kind.value, shape: shape.value, portrait: portrait.value, sure })
    await surfaces.load()
    await router.push({ name: 'elevation', params: { surface: made.surface } })
  } catch (refused) {
    if (refused instanceof ProblemError && refused.problem.questions) questions.value = refused.problem.questions
    else error.value = refused
  }
}
function free(): void {
  if (shape.value && resolved.value) shape.value = freed(shape.value, resolved.value)
}
const move = (id: string, by: [number, number]): void => void (shape.value && (shape.value = moved(shape.value, id, by)))
onMounted(async () => {
  modes.value = (await call<{ modes: StandardMode[] }>('GET', '/api/modes').catch(() => ({ modes: [] }))).modes
})
</script>

<template>
  <div class="with-column wide">
    <section class="drawing-area">
      <div class="place-head"><h1>{{ t('surface.new') }}</h1><p class="hint">{{ t('surface.new-hint') }}</p></div>
      <div v-if="resolved" class="new-drawing"><ShapeDrawing :shape="resolved" :label="t('shape.drawing')" :movable="!!shape?.panels && shape.panels.length > 1" :chosen="chosen ? [chosen] : []" @move="move" @pick="chosen = $event" /></div>
      <p v-else class="empty-state">{{ t('surface.nothing-yet') }}</p>
      <dl v-if="resolved" class="new-facts" role="status">
        <div><dt>{{ t('elevation.canvas') }}</dt><dd class="measure">{{ pixels(...resolved.canvas) }}</dd></div>
        <div><dt>{{ t('elevation.ratio') }}</dt><dd class="measure">{{ ratioText(resolved.ratio) }}</dd></div>
        <div><dt>{{ t('elevation.orientation') }}</dt><dd>{{ t(`elevation.${resolved.orientation}`) }}</dd></div>
        <div><dt>{{ t('elevation.size') }}</dt><dd class="measure">{{ millimetres([resolved.face_um[0] / 1000, resolved.face_um[1] / 1000]) }}</dd></div>
        <div><dt>{{ t('elevation.pitch') }}</dt><dd class="measure">{{ resolved.pitch_mm[0] }} mm</dd></div>
      </dl>
    </section>
    <form class="column" @submit.prevent="make(false)">
      <label>{{ t('surface.name') }}<input v-model="name" class="form-control form-control-sm" maxlength="120" required /></label>
      <div class="tabs" role="tablist" :aria-label="t('surface.ways')">
        <button v-for="one in ways" :id="`way-${one}`" :key="one" type="button" role="tab" :aria-selected="way === one" aria-controls="way-panel" :tabindex="way === one ? 0 : -1" @click="way = one"
          @keydown.right="way = ways[(ways.indexOf(one) + 1) % 4]!" @keydown.left="way = ways[(ways.indexOf(one) + 3) % 4]!">{{ t(`surface.way-${one}`) }}</button>
      </div>
      <div id="way-panel" role="tabpanel" :aria-labelledby="`way-${way}`">
        <label v-if="way === 'mode'">{{ t('surface.mode') }}<select v-model="mode" class="form-select form-select-sm"><option v-for="one in modes" :key="one.px.join(' ')" :value="one.px.join(' ')">{{ pixels(...one.px) }}, {{ one.name }}</option></select></label>
        <EdidField v-if="way === 'edid'" @read="edid = $event" />
        <FigureFields v-if="way !== 'edid' || edid" :key="`${way} ${edid?.product ?? ''}`" v-model="figures" :native="native" :active="active" :fixed="way === 'mode' || way === 'edid'" />
        <template v-if="way === 'wall' && shape">
          <WallFields v-model="shape" />
          <button v-if="shape.grid" type="button" class="plain" :disabled="!resolved" @click="free">{{ t('shape.free') }}</button>
          <PanelList v-else v-model="shape" :findings="resolved?.findings ?? []" :chosen="chosen" @choose="chosen = $event" />
        </template>
      </div>
      <div class="field-row">
        <label>{{ t('elevation.kind') }}<select v-model="kind" class="form-select form-select-sm"><option v-for="one in ['LCD', 'LED', 'projection']" :key="one" :value="one">{{ t(`kind.${one}`) }}</option></select></label>
        <label>{{ t('surface.hangs') }}<select v-model="portrait" class="form-select form-select-sm"><option :value="false">{{ t('elevation.landscape') }}</option><option :value="true">{{ t('elevation.portrait') }}</option></select></label>
        <label v-if="way !== 'wall'">{{ t('surface.turned') }}<select v-model="rotation" class="form-select form-select-sm"><option v-for="turn in [0, 90, 180, 270]" :key="turn" :value="turn">{{ turn }}°</option></select></label>
      </div>
      <RefusalNote :error="unresolved ?? error" />
      <ul v-if="resolved?.findings.length" class="findings short"><li v-for="(finding, index) in resolved.findings" :key="index"><FindingMark :severity="finding.severity" /><span>{{ finding.message }} <span class="hint">{{ finding.mend }}</span></span></li></ul>
      <div v-if="questions.length" class="questions" role="alertdialog" :aria-label="t('surface.asked')">
        <p v-for="question in questions" :key="question.code"><FindingMark severity="caution" /> {{ question.message }} <span class="hint">{{ question.mend }}</span></p>
        <button type="button" class="btn btn-sm btn-outline-dark" @click="make(true)">{{ t('surface.sure') }}</button>
      </div>
      <div class="button-row"><button type="submit" class="btn btn-primary btn-sm" :disabled="!resolved">{{ t('surface.make') }}</button><RouterLink class="btn btn-sm btn-outline-dark" to="/elevation">{{ t('surface.cancel') }}</RouterLink></div>
    </form>
  </div>
</template>
