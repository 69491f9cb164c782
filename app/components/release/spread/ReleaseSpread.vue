<script setup lang="ts">
import { mdiTextBoxPlusOutline } from '@mdi/js'
import { computed, watch } from 'vue'
import { asLong } from '../../../../core/posts/address'
import { POSTS, type PostKind, type PostKindOf } from '../../../../core/posts/kinds'
import { gapsOf } from '../../../../core/descriptions/gaps'
import { count } from '../../../../core/text/count'
import { inDigits } from '../../../../core/text/inWords'
import { counted } from '~/composables/figures'
import { useSpread } from '~/stores/spread'

/** The word about the video: a text for each kind of outlet, and what is done in the first hour. */
const spread = useSpread()
spread.useWhileShown()
const route = useRoute()
const address = useAddress()
const kind = computed<PostKind>(() => POSTS.find(each => each.id === route.query.text)?.id ?? 'short')
const turn = (to: PostKind) => address({ text: to === 'short' ? undefined : to }, true)

/** The text of the kind that is looked at is the open one. */
watch(
  () => spread.ofKind(kind.value)?.id ?? null,
  id => void spread.show(id),
  { immediate: true },
)
const left = computed(() => POSTS.filter(({ id }) => !spread.ofKind(id)).length)

interface Line {
  shape: 'met' | 'partly' | 'missing'
  state: string
  used: string
}
function lineOf({ id, limit, unit }: PostKindOf): Line {
  const text = (spread.open?.kind === id ? spread.open.text : spread.ofKind(id)?.value.text) ?? ''
  if (!text.trim()) return { shape: 'missing', state: 'Not written', used: '' }
  const used = count(asLong(text, spread.longest), unit)
  const gaps = gapsOf(text).length
  const over = used > limit
  return {
    shape: over || gaps ? 'partly' : 'met',
    state: over ? 'Too long' : gaps ? `${counted(gaps, 'gap')} left` : 'Written',
    used: `${inDigits(used)} / ${inDigits(limit)}`,
  }
}
</script>

<template>
  <div class="spread">
    <ShellFailed v-if="spread.problem" :problem="spread.problem" @again="spread.load()" />
    <v-skeleton-loader v-else-if="!spread.posts" type="paragraph@3" />
    <template v-else>
      <section class="sheet texts" aria-label="Texts">
        <div class="line">
          <h2>Texts</h2>
          <v-btn
            v-if="left"
            size="small"
            variant="tonal"
            color="primary"
            :prepend-icon="mdiTextBoxPlusOutline"
            :loading="spread.writing"
            data-test="write-posts"
            title="Uses the brief’s own sentences; each text is different"
            @click="spread.writeAll()"
            >Write {{ left === POSTS.length ? 'all' : counted(left, 'text') }}</v-btn
          >
        </div>
        <ul class="kinds">
          <li v-for="each in POSTS" :key="each.id">
            <button
              class="plain kind"
              :class="{ here: each.id === kind }"
              :aria-current="each.id === kind"
              :title="lineOf(each).state"
              :data-test="`post-${each.id}`"
              @click="turn(each.id)"
            >
              <ShellShape :state="lineOf(each).shape" :label="lineOf(each).state" />
              <span>{{ each.name }}</span>
              <span class="figure small muted">{{ lineOf(each).used }}</span>
            </button>
          </li>
        </ul>
        <ReleaseSpreadText :key="kind" :kind="kind" />
      </section>
      <ReleaseSpreadPlan class="sheet" />
    </template>
  </div>
</template>

<style scoped>
.spread {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(340px, 1fr);
  gap: 14px;
}
.texts {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
  padding: 14px;
}
.line {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 30px;
}
.kinds {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
}
.kind {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) auto;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: 28px;
  padding: 0 6px;
  border-radius: 4px;
  text-align: left;
  color: inherit;
}
.kind:hover {
  background: var(--paper);
}
.here {
  background: color-mix(in srgb, var(--teal) 12%, var(--surface));
  font-weight: 600;
}
@media (max-width: 1000px) {
  .spread {
    display: flex;
    flex-direction: column;
  }
  .texts {
    flex: none;
    min-height: 600px;
  }
}
@media (max-width: 500px) {
  .kinds {
    grid-template-columns: 1fr;
  }
}
</style>
