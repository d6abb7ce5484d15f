<script setup lang="ts">
import { firstField, goOnAt } from '../ui/focus'
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { call, ProblemError } from '../api/client'
import type { SheetFields, StandardMode } from '../api/surfaces'
import type { Finding } from '../api/types'
import FindingLines from '../ui/FindingLines.vue'
import FindingMark from '../ui/FindingMark.vue'
import { millimetres, pixels, ratioText } from '../ui/format'
import PlaceTabs from '../ui/PlaceTabs.vue'
import RefusalNote from '../ui/RefusalNote.vue'
import EdidField from './EdidField.vue'
import FigureFields from './FigureFields.vue'
import PanelList from './PanelList.vue'
import { provideRefusal } from './refusal'
import ShapeDrawing from './ShapeDrawing.vue'
import { useSurfaces } from './surfaces'
import { useNewShape } from './useNewShape'
import { freed, moved, useResolved } from './useResolved'
import WallFields from './WallFields.vue'

const { t } = useI18n()
const router = useRouter()
const surfaces = useSurfaces()
const ways = ['mode', 'numbers', 'edid', 'wall'] as const
const { way, mode, edid, typed, figures, rotation, wall, free, native, shape } = useNewShape()
const name = ref('')
const kind = ref<SheetFields['kind']>('LCD')
const portrait = ref(false)
const modes = ref<StandardMode[]>([])
const chosen = ref<string | null>(null)
const error = ref<unknown>(null)
const questions = ref<Finding[]>([])
const madeAs = crypto.randomUUID()
const { resolved, error: unresolved } = useResolved(() => shape.value)
const unclaimed = provideRefusal(computed(() => unresolved.value ?? error.value))

watch(shape, () => void (questions.value = []))
/** Said before the figures were there: it waits for them. */
let unsaid = false
watch([portrait, figures], ([stands, known], [stood]) => {
  unsaid ||= stands !== stood
  if (!unsaid || way.value === 'wall' || !known) return
  unsaid = false
  rotation.value = stands === known.native[1] > known.native[0] ? 0 : 90
})

async function make(sure: boolean): Promise<void> {
  error.value = null
  questions.value = []
  if (!shape.value) return
  try {
    const made = await surfaces.make({
      made_as: madeAs,
      name: name.value,
      kind: kind.value,
      shape: shape.value,
      portrait: portrait.value,
      sure,
    })
    await surfaces.load()
    await router.push({ name: 'elevation', params: { surface: made.surface } })
  } catch (refused) {
    if (refused instanceof ProblemError && refused.problem.questions) questions.value = refused.problem.questions
    else error.value = refused
  }
}
function arrangeFreely(): void {
  if (shape.value && resolved.value) free.value = freed(shape.value, resolved.value)
}
const move = (id: string, by: [number, number]): void => void (free.value &&= moved(free.value, id, by))
onMounted(async () => {
  goOnAt(firstField('form.column'))
  modes.value = (await call<{ modes: StandardMode[] }>('GET', '/api/modes').catch(() => ({ modes: [] }))).modes
})
</script>

<template>
  <div class="with-column wide">
    <section class="drawing-area">
      <div class="place-head">
        <h1>{{ t('surface.new') }}</h1>
        <p class="hint">{{ t('surface.new-hint') }}</p>
      </div>
      <div v-if="resolved" class="new-drawing">
        <ShapeDrawing
          :shape="resolved"
          :label="t('shape.drawing')"
          :movable="way === 'wall' && free !== null"
          :chosen="chosen ? [chosen] : []"
          @move="move"
          @pick="chosen = $event" />
      </div>
      <p v-else class="empty-state">{{ t('surface.nothing-yet') }}</p>
      <dl v-if="resolved" class="new-facts" aria-live="polite">
        <div>
          <dt>{{ t('elevation.canvas') }}</dt>
          <dd class="measure">{{ pixels(...resolved.canvas) }}</dd>
        </div>
        <div>
          <dt>{{ t('elevation.ratio') }}</dt>
          <dd class="measure">{{ ratioText(resolved.ratio) }}</dd>
        </div>
        <div>
          <dt>{{ t('elevation.orientation') }}</dt>
          <dd>{{ t(`elevation.${resolved.orientation}`) }}</dd>
        </div>
        <div>
          <dt>{{ t('elevation.size') }}</dt>
          <dd class="measure">{{ millimetres([resolved.face_um[0] / 1000, resolved.face_um[1] / 1000]) }}</dd>
        </div>
        <div>
          <dt>{{ t('elevation.pitch') }}</dt>
          <dd class="measure">{{ resolved.pitch_mm[0] }} mm</dd>
        </div>
      </dl>
    </section>
    <form class="column" @submit.prevent="make(false)">
      <div class="fields">
        <label>
          {{ t('surface.name') }}
          <BFormInput size="sm" v-model="name" maxlength="120" required />
        </label>
        <PlaceTabs v-model="way" :tabs="ways" :label="t('surface.ways')" :words="(one) => t(`surface.way-${one}`)" panel="way-panel" />
        <div id="way-panel" role="tabpanel" :aria-labelledby="`way-panel-${way}`">
          <label v-if="way === 'mode'">
            {{ t('surface.mode') }}
            <BFormSelect size="sm" v-model="mode">
              <option v-for="one in modes" :key="one.px.join(' ')" :value="one.px.join(' ')">
                {{ pixels(...one.px) }}, {{ one.name }}
              </option>
            </BFormSelect>
          </label>
          <EdidField v-if="way === 'edid'" @read="edid = $event" />
          <template v-if="way === 'wall' && free">
            <PanelList v-model="free" :resolved="resolved" :chosen="chosen" @choose="chosen = $event" />
            <button type="button" class="plain" @click="free = null">{{ t('shape.back-to-grid') }}</button>
          </template>
          <template v-else>
            <WallFields v-if="way === 'wall'" v-model="wall"><FigureFields v-model="figures" :typed="typed" :native="null" /></WallFields>
            <FigureFields
              v-else-if="way !== 'edid' || edid"
              :key="`${way} ${edid?.product ?? ''}`"
              v-model="figures"
              :typed="typed"
              :native="native" />
            <button v-if="way === 'wall'" type="button" class="plain" :disabled="!resolved" @click="arrangeFreely">
              {{ t('shape.free') }}
            </button>
          </template>
        </div>
        <div class="field-row">
          <label>
            {{ t('elevation.kind') }}
            <BFormSelect size="sm" v-model="kind">
              <option v-for="one in ['LCD', 'LED', 'projection']" :key="one" :value="one">{{ t(`kind.${one}`) }}</option>
            </BFormSelect>
          </label>
          <label>
            {{ t('surface.hangs') }}
            <BFormSelect size="sm" v-model="portrait">
              <option :value="false">{{ t('elevation.landscape') }}</option>
              <option :value="true">{{ t('elevation.portrait') }}</option>
            </BFormSelect>
          </label>
          <label v-if="way !== 'wall'">
            {{ t('surface.turned') }}
            <BFormSelect size="sm" v-model="rotation">
              <option v-for="turn in [0, 90, 180, 270]" :key="turn" :value="turn">{{ turn }}°</option>
            </BFormSelect>
          </label>
        </div>
        <RefusalNote :error="unclaimed" />
        <FindingLines :findings="resolved?.findings ?? []" />
        <div v-if="questions.length" class="questions" role="alertdialog" :aria-label="t('surface.asked')">
          <p v-for="question in questions" :key="question.code">
            <FindingMark severity="caution" />
            {{ question.message }}
            <span class="hint">{{ question.mend }}</span>
          </p>
          <button type="button" class="btn btn-sm btn-outline-dark" @click="make(true)">{{ t('surface.sure') }}</button>
        </div>
      </div>
      <div class="button-row staying">
        <button type="submit" class="btn btn-primary btn-sm" :disabled="!resolved">{{ t('surface.make') }}</button>
        <RouterLink class="btn btn-sm btn-outline-dark" :to="{ name: 'elevation' }">{{ t('surface.cancel') }}</RouterLink>
        <span v-if="!resolved && !unresolved" class="hint">{{ t('surface.nothing-yet') }}</span>
      </div>
    </form>
  </div>
</template>
