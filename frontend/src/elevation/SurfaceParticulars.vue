<script setup lang="ts">
import { BCollapse, BFormCheckboxGroup, BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { call, ProblemError } from '../api/client'
import type { SurfaceWhole } from '../api/surfaces'
import { useSession } from '../session/session'
import { useBook } from '../surface/book'
import { useSurfaces } from '../surface/surfaces'
import FindingLines from '../ui/FindingLines.vue'
import { inches, listed, metres, millimetres, pixels, timeOfDay } from '../ui/format'
import { goOn } from '../ui/focus'
import RefusalNote from '../ui/RefusalNote.vue'

const props = defineProps<{ surface: SurfaceWhole; zone: string }>()
const emit = defineEmits<{ gone: [] }>()
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const surfaces = useSurfaces()
const book = useBook()
const groups = computed(() => props.surface.groups.map(book.named).filter(Boolean))
const name = ref('')
const area = ref('')
const alsoFor = ref<string[]>([])
const choosing = ref(false)
const others = computed(() =>
  (surfaces.elevation?.surfaces ?? [])
    .filter((one) => one.code !== props.surface.code)
    .map((one) => ({ value: one.code, text: listed(one.name, pixels(...one.canvas)) })),
)
watch(
  () => props.surface.code,
  () => {
    area.value = ''
    alsoFor.value = []
  },
)
const error = ref<unknown>(null)
const inUse = ref('')
const face = computed<[number, number]>(() => [props.surface.face_um[0] / 1000, props.surface.face_um[1] / 1000])
const rotation = computed(() => String(props.surface.panels[0]?.rotation || ''))
const findings = computed(() =>
  [...props.surface.findings, ...props.surface.wiring.findings].filter((finding) => finding.severity !== 'note'),
)

async function attempt(work: () => Promise<void>): Promise<void> {
  error.value = null
  try {
    await work()
  } catch (refused) {
    error.value = refused
  }
}
const make = (): Promise<void> =>
  attempt(async () => {
    const made = await call<{ design: string }>('POST', `/api/surfaces/${props.surface.code}/designs`, {
      design: crypto.randomUUID(),
      name: name.value,
      area: area.value || null,
      surfaces: alsoFor.value,
    })
    await router.push({ name: 'bench', params: { design: made.design } })
  })
const duplicate = (): Promise<void> =>
  attempt(async () => {
    const made = await call<{ surface: string }>('POST', `/api/surfaces/${props.surface.code}/duplicate`, {
      made_as: crypto.randomUUID(),
      name: t('surface.copy-of', { name: props.surface.name }),
    })
    await surfaces.load()
    await router.replace({ name: 'elevation', params: { surface: made.surface } })
  })
async function archive(sure: boolean): Promise<void> {
  error.value = null
  inUse.value = ''
  const { code } = props.surface
  const doing = async (): Promise<void> => {
    try {
      await surfaces.archive(code, true, sure)
      emit('gone')
    } catch (refused) {
      if (refused instanceof ProblemError && refused.problem.code === 'surface.in_use') inUse.value = refused.problem.title
      else error.value = refused
    }
  }
  await goOn(doing, () => document.querySelector<HTMLElement>(`.questions .btn-primary, [data-restore="${code}"]`))
}
</script>

<template>
  <dl class="particulars">
    <dt>{{ t('elevation.canvas') }}</dt>
    <dd class="measure">{{ pixels(...surface.canvas) }}</dd>
    <dt>{{ t('elevation.ratio') }}</dt>
    <dd class="measure">
      {{ surface.ratio.exact }}
      <template v-if="surface.ratio.name && surface.ratio.name !== surface.ratio.exact">({{ surface.ratio.name }})</template>
    </dd>
    <dt>{{ t('elevation.orientation') }}</dt>
    <dd>
      {{ listed(t(`elevation.${surface.orientation}`), rotation && t('elevation.mounted', { turn: rotation })) }}
    </dd>
    <dt>{{ t('elevation.panels') }}</dt>
    <dd class="measure">{{ surface.panels.length }} × {{ pixels(...surface.panels[0]!.native) }}</dd>
    <dt>{{ t('elevation.pitch') }}</dt>
    <dd class="measure">{{ surface.pitch_mm[0] === surface.pitch_mm[1] ? surface.pitch_mm[0] : surface.pitch_mm.join(' × ') }} mm</dd>
    <dt>{{ t('elevation.density') }}</dt>
    <dd class="measure">{{ surface.px_per_inch }} px/in</dd>
    <dt>{{ t('elevation.size') }}</dt>
    <dd class="measure">
      {{ millimetres(face) }}
      <br />
      {{ inches(face) }}
    </dd>
    <dt>{{ t('elevation.diagonal') }}</dt>
    <dd class="measure">{{ surface.diagonal_mm }} mm, {{ (surface.diagonal_mm / 25.4).toFixed(2) }}″</dd>
    <dt>{{ t('elevation.kind') }}</dt>
    <dd>
      {{ listed(t(`kind.${surface.kind}`), surface.touch && t('field.touch'), surface.sound && t('field.sound')) }}
    </dd>
    <dt>{{ t('elevation.viewers') }}</dt>
    <dd class="measure">{{ metres(surface.viewing_mm[0]) }} – {{ metres(surface.viewing_mm[1]) }}</dd>
    <template v-if="groups.length">
      <dt>{{ t('field.groups') }}</dt>
      <dd>{{ groups.join(', ') }}</dd>
    </template>
  </dl>
  <h3>{{ t('elevation.reading', { distance: metres(surface.viewing_mm[1]) }) }}</h3>
  <dl class="particulars">
    <dt>{{ t('elevation.pixel-seen') }}</dt>
    <dd class="measure">
      {{ surface.legible.pixel_distance_m }} m
      <span class="hint">{{ t('elevation.acuity') }}</span>
    </dd>
    <dt>{{ t('elevation.cap-least') }}</dt>
    <dd class="measure">
      {{ surface.legible.least_px }} px
      <span class="hint">{{ t('elevation.cap-least-source') }}</span>
    </dd>
    <dt>{{ t('elevation.cap-good') }}</dt>
    <dd class="measure">
      {{ surface.legible.good_px }} px
      <span class="hint">{{ t('elevation.cap-good-source') }}</span>
    </dd>
    <dt>{{ t('elevation.cap-thumb') }}</dt>
    <dd class="measure">
      {{ surface.legible.thumb_px }} px
      <span class="hint">{{ t('elevation.cap-thumb-source') }}</span>
    </dd>
  </dl>
  <FindingLines :findings="findings" />
  <h3>{{ t('elevation.designs') }}</h3>
  <p v-if="!surface.designs.length" class="hint">{{ t('elevation.no-design') }}</p>
  <ul class="lines">
    <li v-for="design in surface.designs" :key="design.id">
      <RouterLink class="line stacked" :to="{ name: 'bench', params: { design: design.id } }">
        <span>{{ listed(design.name, design.area) }}</span>
        <span class="hint">
          {{ t('elevation.revision', { revision: String(design.revision) }) }} · {{ timeOfDay(design.changed_at, zone) }}
          <template v-if="surface.draft?.id === design.id">· {{ t('elevation.draft') }}</template>
        </span>
      </RouterLink>
    </li>
  </ul>
  <form v-if="session.may('design')" class="new-design" @submit.prevent="make">
    <label for="new-design">{{ t('elevation.name') }}</label>
    <BFormInput size="sm" id="new-design" v-model="name" required maxlength="120" />
    <label v-if="surface.areas.length">
      {{ t('elevation.for-area') }}
      <BFormSelect size="sm" v-model="area">
        <option value="">{{ t('elevation.whole') }}</option>
        <option v-for="one in surface.areas" :key="one.id" :value="one.id">{{ one.name }}</option>
      </BFormSelect>
    </label>
    <fieldset v-if="others.length" class="also-for">
      <legend>
        <button type="button" class="plain" :aria-expanded="choosing" aria-controls="also-for" @click="choosing = !choosing">
          {{ t('designs.also-for', { count: alsoFor.length }) }}
        </button>
      </legend>
      <BCollapse id="also-for" v-model="choosing">
        <BFormCheckboxGroup v-model="alsoFor" stacked :options="others" />
      </BCollapse>
    </fieldset>
    <button class="btn btn-primary btn-sm" type="submit">{{ t('elevation.make') }}</button>
  </form>
  <h3>{{ t('elevation.players') }}</h3>
  <ul class="lines">
    <li v-for="player in surface.feeding" :key="player.code" class="line">
      <span class="measure">{{ player.code }}</span>
      <span class="state" :class="player.state">{{ t(`state.${player.state}`) }}</span>
    </li>
  </ul>
  <RefusalNote :error="error" />
  <div v-if="surfaces.mayMount" class="button-row foot">
    <button type="button" class="btn btn-sm btn-outline-dark" @click="duplicate">{{ t('surface.duplicate') }}</button>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="archive(false)">{{ t('surface.archive') }}</button>
  </div>
  <div v-if="inUse" class="questions" role="alertdialog" :aria-label="t('surface.archive')">
    <p>{{ inUse }}</p>
    <button type="button" class="btn btn-sm btn-primary" @click="archive(true)">{{ t('surface.archive-sure') }}</button>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="inUse = ''">{{ t('surface.keep') }}</button>
  </div>
</template>
