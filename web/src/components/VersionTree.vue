<script setup lang="ts">
import { computed } from 'vue'
import type { Branch } from '../api/types'
import { grams, percent } from '../logic/format'

const props = defineProps<{ recipe: number; branches: Branch[]; here: number }>()

/** Versions in the order of the tree, each with how deep it stands. */
const rows = computed(() => {
  const found: { branch: Branch; depth: number }[] = []
  const walk = (parent: number | null, depth: number): void => {
    for (const branch of props.branches.filter((b) => b.parent === parent)) {
      found.push({ branch, depth })
      walk(branch.number, depth + 1)
    }
  }
  walk(null, 0)
  return found
})
const LIKED = ['not again', 'with a change', 'gladly', 'better than the original']
</script>

<template>
  <ul class="tree">
    <li v-for="{ branch, depth } in rows" :key="branch.version_id" :style="{ '--depth': depth }">
      <span class="twig" aria-hidden="true"></span>
      <span class="what">
        <router-link
          :to="{ name: 'bake-day', params: { id: recipe, version: branch.version_id } }"
          :class="{ here: branch.version_id === here }"
          >{{ branch.label }}</router-link
        >
        <span v-if="branch.is_best" class="best">liked best</span>
        <small v-if="branch.changed" class="quiet">{{ branch.changed }}</small>
      </span>
      <span class="figure"
        >{{ grams(branch.free_sugar_g)
        }}<small class="quiet">{{
          branch.cut > 0.02 ? `${percent(-branch.cut)}` : 'free sugar'
        }}</small></span
      >
      <span class="liked">
        <template v-if="branch.liked !== null"
          ><span class="suns" aria-hidden="true"
            ><i v-for="n in 3" :key="n" :class="{ full: branch.liked >= n - 0.34 }"></i
          ></span>
          <small
            >{{ LIKED[Math.round(branch.liked)] }}, {{ branch.tastings }}
            {{ branch.tastings === 1 ? 'sheet' : 'sheets' }}</small
          ></template
        >
        <small v-else class="quiet">{{ branch.bakes ? 'not tasted yet' : 'not baked yet' }}</small>
      </span>
    </li>
  </ul>
</template>

<style scoped>
.tree {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: calc(var(--depth) * 18px) minmax(0, 1fr) 76px 150px;
  gap: 8px;
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
  align-items: start;
}
.twig {
  border-bottom: 2px solid var(--hair);
  height: 12px;
}
a {
  color: inherit;
  font-weight: 650;
}
a.here {
  text-decoration-color: var(--sun);
  text-decoration-thickness: 3px;
}
.best {
  margin-left: 8px;
  padding: 1px 9px;
  border-radius: 999px;
  background: var(--sun);
  color: #2c1a10;
  font-size: 0.8rem;
  font-weight: 700;
}
.figure {
  text-align: right;
}
.suns {
  display: inline-flex;
  gap: 4px;
}
.suns i {
  width: 13px;
  height: 13px;
  border-radius: 50%;
  border: 2px solid var(--sun);
}
.suns i.full {
  background: var(--sun);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: calc(var(--depth) * 10px) minmax(0, 1fr) 62px;
  }
  .liked {
    grid-column: 2 / -1;
  }
}
</style>
