<script setup lang="ts">
import { computed } from 'vue'
import type { BenchGoals } from '../api/types'
import { onBase, partOnBase, parts, wholes, type Base, type OwnPattern } from '../logic/standing'
import PickList from './PickList.vue'

const props = defineProps<{ goals: BenchGoals; bases: Base[]; patterns: OwnPattern[] }>()
const emit = defineEmits<{ change: [changes: Partial<BenchGoals>] }>()
const whole = computed(() => wholes(props.goals, props.bases))
const each = computed(() => parts(props.goals, props.bases, props.patterns))
</script>

<template>
  <p v-if="whole.length < 2 && !each.length" class="quiet">Nothing here can be made on another base.</p>
  <template v-else>
    <PickList
      legend="What it stands on: a bigger change than another sweetener"
      :items="whole"
      :chosen="[goals.base ?? '']"
      is-single
      @toggle="emit('change', onBase($event))"
    />
    <PickList
      v-for="part in each"
      :key="part.component"
      :legend="part.legend"
      :items="part.items"
      :chosen="[part.chosen]"
      is-single
      @toggle="emit('change', partOnBase(goals, part.component, $event))"
    />
  </template>
</template>
