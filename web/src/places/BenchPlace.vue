<script setup lang="ts">
import { mdiRedo, mdiUndo } from '@mdi/js'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, ApiError, ask } from '../api/client'
import type { BenchGoals, Difference, Method, PathSide, PlanLine } from '../api/types'
import BalancePanel from '../components/BalancePanel.vue'
import CheckPanel from '../components/CheckPanel.vue'
import CutCurve from '../components/CutCurve.vue'
import GoalSentence from '../components/GoalSentence.vue'
import MethodSteps from '../components/MethodSteps.vue'
import OtherWays from '../components/OtherWays.vue'
import PathSuns from '../components/PathSuns.vue'
import PathTable from '../components/PathTable.vue'
import PlanNotes from '../components/PlanNotes.vue'
import PlanTable from '../components/PlanTable.vue'
import VersionStrip from '../components/VersionStrip.vue'
import WishHelp from '../components/WishHelp.vue'
import { useCutCurve } from '../composables/useCutCurve'
import { useKeys } from '../composables/useKeys'
import { usePathSides } from '../composables/usePathSides'
import { isoDay } from '../logic/days'
import { draft } from '../logic/draft'
import { plural } from '../logic/format'
import { saveFile } from '../logic/saveFile'
import { useBench } from '../stores/bench'
import { useFiles } from '../stores/files'
import { useHousehold } from '../stores/household'
import { useLedger } from '../stores/ledger'
import { useNotices } from '../stores/notices'
import { usePeople } from '../stores/people'

const props = defineProps<{ id: number }>()
const bench = useBench()
const household = useHousehold()
const people = usePeople()
const ledger = useLedger()
const notices = useNotices()
const router = useRouter()
const route = useRoute()
const isKeeping = ref(false)
const { isOpen: isComparing, isSame: isSameWish, isWorking: isSolvingSides, sides } = usePathSides()
const curve = useCutCurve()
const files = useFiles()
const difference = ref<Difference>()

const makes = computed(() => {
  const version = bench.original
  return version ? `${version.servings} ${plural(version.servings, version.unit)}` : ''
})
const locks = computed(() => (bench.goals?.locks ?? {}) as Record<string, number>)

/** What a path brings with its preset; all else of a wish goes with the baker from path to path. */
const OWN = [
  'path',
  'cut',
  'keep_sweet',
  'definition',
  'cupboard',
  'amounts',
  'most_new',
  'flavours',
] as const

function preset(key: string): BenchGoals {
  const path = household.choices?.paths.find((p) => p.key === key)?.preset
  if (!path) throw new Error(`no path ${key}`)
  const own = Object.fromEntries(OWN.map((name) => [name, path[name]]))
  const kinds = draft<Record<string, Record<string, string>>>('kinds', {})[String(props.id)]
  // Who is usually at the table is in a new wish.
  const table = people.choices?.at_table
  const diets = [...new Set([...household.settings.diets, ...(table?.diets ?? [])])]
  const start = { ...path, diets, eaters: table?.eaters ?? [], families: kinds ?? path.families }
  return { ...start, ...bench.goals, ...own, most_new: null }
}

/** The goals of the kept version that the address names, or of the last one kept, or the blend's presets. */
function startingGoals(): BenchGoals {
  const versions = bench.recipe?.versions ?? []
  const kept = (versions.find((v) => v.id === namedVersion()) ?? versions.at(-1))?.goals
  return kept ? { ...kept, locks: kept.locks } : preset('blend')
}

function namedVersion(): number | undefined {
  return Number(route.query.version) || undefined
}

async function open(): Promise<void> {
  try {
    await Promise.all([household.load(), people.load()])
    bench.forget()
    const named = namedVersion()
    await bench.open(props.id, startingGoals, named)
    // Another version may have been asked for while this one was on its way.
    if (namedVersion() !== named) bench.change(startingGoals())
    const cut = Number(route.query.cut)
    if (cut > 0 && cut <= 1) bench.change({ cut })
    await bench.glance()
  } catch (error) {
    notices.complain(error)
    const isDamaged = error instanceof ApiError && error.code === 'damaged'
    if (!bench.recipe) bench.problem = isDamaged ? error.message : 'This recipe is not on the shelf.'
  }
}

/** The amounts set of what comes in, but for this line's. */
function otherAmounts(line: PlanLine): BenchGoals['amounts'] {
  return (bench.goals?.amounts ?? []).filter(
    (a) => a.ingredient !== line.ingredient || a.component !== line.component,
  )
}

/** Keeps a line as it is in the original, or what came in as it is now; again lets go of it. */
function lock(line: PlanLine): void {
  if (line.position === null) {
    if (line.is_locked) bench.change({ amounts: otherAmounts(line) })
    else setAmount(line, line.after_g)
    return
  }
  const key = String(line.position)
  const others = Object.entries(locks.value).filter(([position]) => position !== key)
  const next = key in locks.value ? others : [...others, [key, line.before_g] as const]
  bench.change({ locks: Object.fromEntries(next) })
}

/** A typed amount is kept at that weight, and the rest follows. */
function setAmount(line: PlanLine, grams: number): void {
  if (line.position === null) {
    const { component, ingredient } = line
    bench.change({ amounts: [...otherAmounts(line), { component: component ?? '', ingredient, grams }] })
  } else {
    bench.change({ locks: { ...locks.value, [String(line.position)]: grams } })
  }
}

/** Puts a flavour in, or takes it out again; the path's own choice is the start. */
function season(key: string): void {
  const now =
    bench.goals?.flavours ?? bench.plan?.flavour.filter((tip) => tip.is_in).map((tip) => tip.key) ?? []
  bench.change({ flavours: now.includes(key) ? now.filter((k) => k !== key) : [...now, key] })
}

function leaveOut(line: PlanLine): void {
  bench.change({
    amounts: otherAmounts(line),
    without: [...(bench.goals?.without ?? []).filter((k) => k !== line.ingredient), line.ingredient],
    including: (bench.goals?.including ?? []).filter((k) => k !== line.ingredient),
  })
}

function setFamily(component: string, family: string): void {
  bench.change({ families: { ...bench.goals?.families, [component]: family } })
}

function takeRelaxation(changes: Record<string, unknown>): void {
  bench.change(changes as Partial<BenchGoals>)
}

function choosePath(side: PathSide, isSame: boolean): void {
  const goals = preset(side.path)
  bench.change(
    isSame ? { ...goals, cut: bench.goals?.cut ?? 0.5, keep_sweet: bench.goals?.keep_sweet ?? 0.9 } : goals,
  )
}

function step(name: 'cut' | 'keep_sweet', by: number, low: number, high: number): void {
  const now = bench.goals?.[name] ?? 0
  const next = Math.min(high, Math.max(low, Math.round((now + by) * 20) / 20))
  if (next !== now) bench.change({ [name]: next })
}

async function keep(): Promise<void> {
  if (!bench.plan || isKeeping.value) return
  isKeeping.value = true
  try {
    await bench.keep('')
    const version = bench.recipe?.versions.at(-1)
    notices.say(
      `${version?.label} is kept.`,
      version && { label: 'I baked it', run: () => baked(version.id) },
    )
  } catch (error) {
    notices.complain(error)
  } finally {
    isKeeping.value = false
  }
}

async function compareVersions(first: number, second: number): Promise<void> {
  if (!bench.recipe) return
  const at = { path: { recipe_id: bench.recipe.id }, query: { first: String(first), second: String(second) } }
  try {
    difference.value = await ask(api.GET('/api/recipes/{recipe_id}/difference', { params: at }))
  } catch (error) {
    notices.complain(error)
  }
}

async function saveRecipe(format: string): Promise<void> {
  try {
    if (bench.recipe) saveFile(await files.recipe(bench.recipe.id, format))
  } catch (error) {
    notices.complain(error)
  }
}

async function setMethod(method: Method): Promise<void> {
  try {
    await bench.setMethod(method)
  } catch (error) {
    notices.complain(error)
  }
}

async function cut(servings: number): Promise<void> {
  try {
    await bench.cutInto(servings)
  } catch (error) {
    notices.complain(error)
  }
}

async function baked(versionId: number): Promise<void> {
  try {
    const made = await ledger.bake(versionId, isoDay(new Date()))
    await router.push({ name: 'ledger', query: { bake: made?.id } })
  } catch (error) {
    notices.complain(error)
  }
}

const pathKeys = computed(() => household.choices?.paths.map((p) => p.key) ?? [])
useKeys({
  'mod+z': () => bench.undo(),
  'mod+y': () => bench.redo(),
  'mod+shift+z': () => bench.redo(),
  k: () => void keep(),
  s: () => (isComparing.value = !isComparing.value),
  ArrowRight: () => step('cut', 0.05, 0, 1),
  ArrowLeft: () => step('cut', -0.05, 0, 1),
  ArrowUp: () => step('keep_sweet', 0.05, 0.4, 1.2),
  ArrowDown: () => step('keep_sweet', -0.05, 0.4, 1.2),
  ...Object.fromEntries(
    [0, 1, 2, 3, 4].map((n) => [
      String(n + 1),
      () => pathKeys.value[n] && bench.change(preset(pathKeys.value[n])),
    ]),
  ),
})
onMounted(open)
watch(
  () => bench.eaters,
  () => bench.plan && bench.glance().catch(notices.complain),
)
watch(() => props.id, open)
watch(
  () => route.query.version,
  () => bench.goals && bench.change(startingGoals()),
)
</script>

<template>
  <section class="place">
    <header class="head">
      <h1>{{ bench.recipe?.title ?? (bench.problem ? 'Not on the bench' : '…') }}</h1>
      <VersionStrip
        v-if="bench.recipe"
        :recipe="bench.recipe.id"
        :versions="bench.recipe.versions"
        :difference="difference"
        @baked="baked"
        @cut="cut"
        @compare="compareVersions"
        @pattern="(number, isPattern) => bench.setPattern(number, isPattern).catch(notices.complain)"
        @save="saveRecipe"
      />
      <span class="push actions">
        <v-btn variant="text" size="small" :aria-pressed="isComparing" @click="isComparing = !isComparing"
          >Side by side</v-btn
        >
        <v-btn
          :icon="mdiUndo"
          size="small"
          variant="text"
          aria-label="Undo"
          :disabled="!bench.canUndo"
          @click="bench.undo()"
        />
        <v-btn
          :icon="mdiRedo"
          size="small"
          variant="text"
          aria-label="Redo"
          :disabled="!bench.canRedo"
          @click="bench.redo()"
        />
        <v-btn variant="flat" color="primary" :disabled="!bench.plan" :loading="isKeeping" @click="keep"
          >Keep this version</v-btn
        >
      </span>
    </header>

    <template v-if="bench.goals && household.choices && bench.recipe">
      <GoalSentence
        :goals="bench.goals"
        :choices="household.choices"
        :settings="household.settings"
        :family="bench.plan?.balance[0]?.family"
        :bases="bench.plan?.bases ?? []"
        :patterns="bench.patterns"
        @change="bench.change($event)"
      />
      <PathSuns
        :model-value="bench.goals.path"
        :paths="household.choices.paths"
        :glances="bench.glances"
        :before="bench.original?.per_serving.free_sugars_who_g ?? 0"
        @update:model-value="bench.change(preset($event))"
      />
      <PathTable
        v-if="isComparing"
        v-model:same="isSameWish"
        :path="bench.goals.path"
        :sides="sides"
        :paths="household.choices.paths"
        :is-working="isSolvingSides"
        @choose="choosePath"
      />
    </template>
    <p v-if="bench.problem" class="told" role="alert">
      {{ bench.problem }}
      <template v-if="bench.plan"> The last plan stays below.</template>
      <router-link v-else-if="!bench.recipe" to="/recipes">Back to the shelf</router-link>
    </p>

    <CheckPanel
      v-if="!bench.plan && bench.checked"
      :components="bench.checked"
      :families="household.choices?.families ?? []"
      @family="setFamily"
    />
    <div v-if="bench.plan" class="work" :aria-busy="bench.isWorking">
      <div>
        <PlanTable
          :lines="bench.plan.lines"
          :locks="locks"
          :caption="makes"
          :by-the-book="bench.plan.by_the_book"
          :is-preview="bench.isPreview"
          @lock="lock"
          @set="setAmount"
          @leave-out="leaveOut"
        />
        <PlanNotes v-if="bench.settled" :plan="bench.settled" @season="season" />
        <MethodSteps v-if="bench.recipe" :method="bench.recipe.method" @change="setMethod" />
      </div>
      <BalancePanel
        :plan="bench.plan"
        :limit="household.settings.daily_limit_g"
        :families="household.choices?.families ?? []"
        @family="setFamily"
      >
        <WishHelp
          v-if="bench.plan.status !== 'balanced'"
          :relaxations="bench.relaxed"
          @ask="bench.relax().catch(notices.complain)"
          @take="takeRelaxation"
        />
        <OtherWays
          v-else
          :others="bench.others"
          @ask="bench.lookForOthers().catch(notices.complain)"
          @take="takeRelaxation"
        />
        <CutCurve
          v-if="bench.goals"
          v-model:open="curve.isOpen.value"
          :goals="bench.goals"
          :points="curve.points.value"
          :further="curve.further.value"
          :is-working="curve.isWorking.value"
          :is-looking="curve.isLooking.value"
          @choose="bench.change($event)"
          @take="takeRelaxation"
        />
      </BalancePanel>
    </div>
  </section>
</template>

<style scoped>
.work {
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(320px, 1fr);
  gap: 34px;
  margin-top: 16px;
  align-items: start;
}
/* What a slider moves lays out by itself. */
.work > * {
  contain: layout style;
}
@media (max-width: 980px) {
  .work {
    grid-template-columns: minmax(0, 1fr);
  }
  .work > :last-child {
    order: -1;
  }
}
</style>
