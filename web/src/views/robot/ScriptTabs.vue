<script setup lang="ts">
import {
  freshAmong,
  MOST,
  proposeScript,
  putScript,
  removeScript,
  type MatchScript,
  type Plan,
  type Play,
} from '@rough-gear/core';
import { computed, ref } from 'vue';
import BaseDialog from '../../components/widgets/BaseDialog.vue';
import ChoiceTabs from '../../components/widgets/ChoiceTabs.vue';
import MeasureField from '../../components/fields/MeasureField.vue';
import { usePlan } from '../../stores/plan.js';
import ScriptFile from './ScriptFile.vue';

/** The scripts that are kept, by name: another is proposed from the jobs, one is renamed, or goes. */
const { plan, scripts, script } = defineProps<{
  plan: Plan;
  scripts: readonly MatchScript[];
  script: MatchScript;
}>();
const emit = defineEmits<{ choose: [id: string] }>();
const store = usePlan();
const tabs = computed(() => scripts.map(({ id, name }) => ({ value: id, text: name })));
const setting = ref(false);
const kept = computed(() => plan.scripts?.some(({ id }) => id === script.id) ?? false);

function another(play: Play): void {
  const id = freshAmong(new Set(scripts.map((one) => one.id)), 'match');
  const proposed = proposeScript(plan, play, id);
  // The one that stood there as a proposal is kept beside it.
  const first = kept.value ? [] : putScript(plan, script);
  const base = first.length > 0 ? { ...plan, scripts: [script] } : plan;
  store.commit(putScript(base, proposed));
  setting.value = false;
  emit('choose', id);
}
function imported(read: MatchScript): void {
  store.commit(putScript(plan, read));
  setting.value = false;
  emit('choose', read.id);
}
const put = (next: MatchScript) => store.commit(putScript(plan, next));
function remove(): void {
  store.commit(removeScript(plan, script.id));
  setting.value = false;
}
function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim();
  if (name && name !== script.name) put({ ...script, name });
}
</script>

<template>
  <div class="flex flex-wrap items-baseline gap-x-4">
    <h2 class="text-lg">Match</h2>
    <ChoiceTabs
      :model-value="script.id"
      :options="tabs"
      label="Scripts"
      class="flex-wrap"
      @update:model-value="emit('choose', $event)"
    />
    <button type="button" class="act min-h-6" @click="setting = true">Its parts, and others</button>
    <BaseDialog :open="setting" title="Scripts of a match" @close="setting = false">
      <div class="grid gap-2 text-sm">
        <label class="block"
          ><span class="text-second">name</span>
          <input
            class="w-full border-b border-ink bg-transparent"
            :value="script.name"
            maxlength="60"
            aria-label="name of the script"
            @change="rename"
        /></label>
        <fieldset class="grid gap-1">
          <legend class="text-second">parts of the match, with names of your own</legend>
          <div v-for="(part, i) in script.parts" :key="i" class="flex flex-wrap items-baseline gap-3">
            <input
              class="border-b border-ink bg-transparent"
              :value="part.name"
              maxlength="60"
              :aria-label="`name of part ${i + 1}`"
              @change="
                put({
                  ...script,
                  parts: script.parts.map((one, k) =>
                    k === i ? { ...one, name: ($event.target as HTMLInputElement).value.trim() || one.name } : one,
                  ),
                })
              "
            />
            <MeasureField
              :value="part.seconds"
              dimension="time"
              :label="`length of ${part.name}`"
              :most="3600"
              @read="
                put({ ...script, parts: script.parts.map((one, k) => (k === i ? { ...one, seconds: $event } : one)) })
              "
            />
            <button
              v-if="script.parts.length > 1"
              type="button"
              class="act min-h-6"
              @click="put({ ...script, parts: script.parts.filter((_, k) => k !== i) })"
            >
              Remove {{ part.name }}
            </button>
          </div>
          <button
            v-if="script.parts.length < MOST.parts"
            type="button"
            class="act min-h-6 w-fit"
            @click="put({ ...script, parts: [...script.parts, { name: 'another part', seconds: 30 }] })"
          >
            Another part
          </button>
        </fieldset>
        <fieldset class="grid gap-1">
          <legend class="text-second">always on: boards, lights, radio, pumps</legend>
          <div v-for="(draw, i) in script.draws" :key="draw.id" class="flex flex-wrap items-baseline gap-3">
            <input
              class="border-b border-ink bg-transparent"
              :value="draw.name"
              maxlength="60"
              :aria-label="`name of draw ${i + 1}`"
              @change="
                put({
                  ...script,
                  draws: script.draws.map((one) =>
                    one.id === draw.id
                      ? { ...one, name: ($event.target as HTMLInputElement).value.trim() || one.name }
                      : one,
                  ),
                })
              "
            />
            <MeasureField
              :value="draw.current"
              dimension="current"
              :label="`current of ${draw.name}`"
              :at-least="0"
              :most="1000"
              @read="
                put({
                  ...script,
                  draws: script.draws.map((one) => (one.id === draw.id ? { ...one, current: $event } : one)),
                })
              "
            />
            <button
              type="button"
              class="act min-h-6"
              @click="put({ ...script, draws: script.draws.filter(({ id }) => id !== draw.id) })"
            >
              Remove {{ draw.name }}
            </button>
          </div>
          <button
            type="button"
            class="act min-h-6 w-fit"
            @click="
              put({
                ...script,
                draws: [
                  ...script.draws,
                  {
                    id: freshAmong(new Set(script.draws.map(({ id }) => id)), 'draw'),
                    name: 'pump',
                    current: 5,
                    from: 0,
                  },
                ],
              })
            "
          >
            Another draw
          </button>
        </fieldset>
        <label class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="size-4"
            :checked="script.counts"
            @change="put({ ...script, counts: ($event.target as HTMLInputElement).checked })"
          />the robot is judged by it</label
        >
        <ScriptFile :plan="plan" :script="script" :scripts="scripts" @imported="imported" />
        <div class="flex flex-wrap gap-x-5 border-t border-hair pt-2">
          <template v-if="scripts.length < MOST.scripts">
            <span class="text-second">propose from the jobs’ own <i>once every</i>:</span>
            <button type="button" class="act min-h-6" @click="another('calm')">a calm one</button>
            <button type="button" class="act min-h-6" @click="another('frantic')">a frantic one</button>
          </template>
          <button v-if="kept && scripts.length > 1" type="button" class="act ml-auto min-h-6" @click="remove">
            Remove {{ script.name }}
          </button>
        </div>
      </div>
    </BaseDialog>
  </div>
</template>
