<script setup lang="ts">
defineProps<{
  legend: string
  items: { key: string; name: string }[]
  chosen: string[]
  /** Whether one at most is chosen. */
  isSingle?: boolean
}>()
const emit = defineEmits<{ toggle: [key: string] }>()
</script>

<template>
  <fieldset>
    <legend>{{ legend }}</legend>
    <label v-for="item in items" :key="item.key" class="pick">
      <input
        :type="isSingle ? 'radio' : 'checkbox'"
        :name="legend"
        :checked="chosen.includes(item.key)"
        @change="emit('toggle', item.key)"
      />
      {{ item.name }}
    </label>
  </fieldset>
</template>

<style scoped>
fieldset + fieldset {
  margin-top: 12px;
}
.pick {
  display: flex;
  gap: 10px;
  padding: 5px 0;
  cursor: pointer;
}
</style>
