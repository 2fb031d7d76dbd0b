<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { number, signs } from '../logic/format'

const props = withDefaults(
  defineProps<{
    modelValue: number | null
    label?: string
    /** The name for screen readers, where no label is shown. */
    name?: string
    min?: number
    max?: number
    /** What an arrow key steps by. */
    step?: number
    unit?: string
    placeholder?: string
    /** Whether it stands within a sentence or a table, as a line to write on. */
    isInline?: boolean
    /** Whether it counts things: portions, kinds, pieces. */
    isWhole?: boolean
    /** Whether it may be empty. */
    isOptional?: boolean
    isFocused?: boolean
    /** Whether what is typed counts at once, not only when the field is left. */
    isLive?: boolean
  }>(),
  {
    label: undefined,
    name: undefined,
    unit: undefined,
    placeholder: undefined,
    min: 0,
    max: 100000,
    step: 1,
  },
)
const emit = defineEmits<{
  /** A number in range, or nothing, once it is settled: by Enter, an arrow or leaving the field. */
  'update:modelValue': [value: number | null]
  leave: []
}>()
const typed = ref<number | null>(props.modelValue)
// All of the screen is made anew when the household changes its sign.
const { decimal, grouping } = signs()

/** What was last settled here, or came from outside: what is typed since then is not written over. */
let settled = props.modelValue

watch(
  () => props.modelValue,
  (value) => {
    if (typed.value === settled) typed.value = value
    settled = value
  },
)

/** What is typed that can't be taken; it stays as typed, and nothing is changed. */
const wrong = computed(() => {
  if (typed.value === null) return props.isOptional ? '' : 'a number is missing'
  if (props.isWhole && !Number.isInteger(typed.value)) return 'a whole number'
  if (typed.value >= props.min && typed.value <= props.max) return ''
  return `${number(props.min)} to ${number(props.max)}${props.unit ? ` ${props.unit}` : ''}`
})

watch(typed, () => props.isLive && settle())

function settle(): void {
  if (wrong.value) return
  settled = typed.value
  if (typed.value !== props.modelValue) emit('update:modelValue', typed.value)
}

/** What is there is chosen, so that typing takes its place. */
function choose(event: FocusEvent): void {
  const field = event.target as HTMLInputElement
  if (props.isInline) requestAnimationFrame(() => field.select?.())
}

function restore(): void {
  typed.value = props.modelValue
  emit('leave')
}

function leave(): void {
  settle()
  if (!wrong.value) emit('leave')
}
</script>

<template>
  <v-number-input
    v-model="typed"
    :label="label"
    :aria-label="name"
    :step="step"
    :precision="null"
    :decimal-separator="decimal"
    :group-separator="grouping"
    :suffix="unit"
    :placeholder="placeholder"
    :autofocus="isFocused"
    :error-messages="wrong ? [wrong] : []"
    :class="{ inline: isInline, whole: isInline && isWhole }"
    :single-line="isInline"
    grouping
    control-variant="hidden"
    inputmode="decimal"
    @change="settle"
    @keydown.enter="settle"
    @keydown.escape="restore"
    @focus="choose"
    @blur="leave"
  />
</template>

<style scoped>
.inline {
  display: inline-flex;
  flex: none;
  flex-direction: column;
  width: 9.5ch;
  max-width: 100%;
  vertical-align: baseline;
  font: inherit;
}
.whole {
  width: 6ch;
}
.inline :deep(.v-field) {
  --v-field-padding-start: 0;
  --v-field-padding-end: 0;
  --v-field-input-padding-top: 0;
  --v-field-input-padding-bottom: 0;
  --v-input-control-height: 1.5em;
  font: inherit;
  background: none;
}
.inline :deep(.v-field__input) {
  min-height: 0;
  font-weight: 700;
  text-align: right;
}
.inline :deep(input) {
  text-align: right;
}
.inline :deep(.v-text-field__suffix) {
  min-height: 0;
  padding: 0 0 0 4px;
}
.inline :deep(.v-input__details) {
  padding: 0;
  min-height: 0;
  white-space: nowrap;
}
</style>
