<script setup lang="ts">
import { freshAmong, withGo, withoutGo, type Go, type Mechanism, type MatchScript, type When } from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import MeasureField from '../../components/fields/MeasureField.vue';

/** One go of the script: what is done, and when it begins. */
const { script, mechanism, goId, length, names, jobs } = defineProps<{
  script: MatchScript;
  mechanism: Mechanism;
  goId: string | undefined;
  length: number;
  /** Of mechanisms by id; of jobs by mechanism and job. */
  names: ReadonlyMap<string, string>;
  jobs: ReadonlyMap<string, string>;
}>();
const emit = defineEmits<{ change: [script: MatchScript]; choose: [go: string | undefined] }>();

const lane = computed(() => script.lanes.find((one) => one.mechanism === mechanism.id));
const go = computed(() => lane.value?.goes.find(({ id }) => id === goId));
const drives = computed(() => mechanism.kind === 'drive-base');
/** The goes it may come after, by what a person calls them; its own lane's alike ones by their place too. */
const others = computed(() =>
  script.lanes.flatMap((one) =>
    one.goes.flatMap(({ id, job }, i) => {
      const what = job === undefined ? 'driving steadily' : (jobs.get(`${one.mechanism} ${job}`) ?? job);
      return id === goId ? [] : [{ value: id, text: `${names.get(one.mechanism)}, ${i + 1}: ${what}` }];
    }),
  ),
);

const CRUISE = 'cruise';
const doing = computed(() => [
  ...mechanism.jobs.map(({ id, name }) => ({ value: id, text: name })),
  ...(drives.value ? [{ value: CRUISE, text: 'drive steadily' }] : []),
]);
const KINDS: readonly { value: When['kind']; text: string }[] = [
  { value: 'at', text: 'once, at' },
  { value: 'every', text: 'again and again' },
  { value: 'after', text: 'after another go' },
  { value: 'with', text: 'together with another' },
];

const put = (next: Go) => emit('change', withGo(script, mechanism.id, next));
function does(value: string): void {
  const { id, when } = go.value!;
  put(value === CRUISE ? { id, when, cruise: { speed: 1, seconds: 5 } } : { id, when, job: value });
}
function begins(kind: When['kind']): void {
  const { when } = go.value!;
  const time = when.kind === 'at' ? when.time : when.kind === 'every' ? when.from : 0;
  const next: When =
    kind === 'at'
      ? { kind, time }
      : kind === 'every'
        ? { kind, time: 15, from: time, to: length }
        : { kind, go: others.value[0]?.value ?? '', wait: 0.5 };
  put({ ...go.value!, when: next });
}
function add(): void {
  const id = freshAmong(new Set(script.lanes.flatMap(({ goes }) => goes.map((one) => one.id))), mechanism.id);
  put({ id, job: mechanism.jobs[0]!.id, when: { kind: 'at', time: Math.min(5, length / 2) } });
  emit('choose', id);
}
function remove(): void {
  emit('change', withoutGo(script, goId!));
  emit('choose', undefined);
}
</script>

<template>
  <section :aria-label="`Goes of ${mechanism.name}`" class="border border-line bg-sheet p-2 text-sm" data-testid="go">
    <div class="flex flex-wrap items-end gap-x-4 gap-y-1">
      <h3 class="self-center">{{ mechanism.name }}</h3>
      <template v-if="go">
        <ChoiceField label="does" :value="go.cruise ? CRUISE : (go.job ?? '')" :options="doing" @change="does" />
        <ChoiceField label="begins" :value="go.when.kind" :options="KINDS" @change="begins" />
        <MeasureField
          v-if="go.when.kind === 'at'"
          :value="go.when.time"
          dimension="time"
          label="at"
          :at-least="0"
          :most="length"
          @read="put({ ...go, when: { kind: 'at', time: $event } })"
        />
        <template v-else-if="go.when.kind === 'every'">
          <MeasureField
            :value="go.when.time"
            dimension="time"
            label="every"
            :at-least="0.1"
            class="w-16!"
            @read="put({ ...go, when: { ...go.when, time: $event } as When })"
          />
          <MeasureField
            :value="go.when.from"
            dimension="time"
            label="from"
            :at-least="0"
            :most="length"
            class="w-16!"
            @read="put({ ...go, when: { ...go.when, from: $event } as When })"
          />
          <MeasureField
            :value="go.when.to"
            dimension="time"
            label="to"
            :at-least="0"
            :most="3600"
            class="w-16!"
            @read="put({ ...go, when: { ...go.when, to: $event } as When })"
          />
        </template>
        <template v-else>
          <ChoiceField
            label="which"
            :value="go.when.go"
            :options="others"
            @change="put({ ...go, when: { ...go.when, go: $event } as When })"
          />
          <MeasureField
            :value="go.when.wait"
            dimension="time"
            :label="go.when.kind === 'after' ? 'waits' : 'later by'"
            :at-least="0"
            class="w-16!"
            @read="put({ ...go, when: { ...go.when, wait: $event } as When })"
          />
        </template>
        <template v-if="go.cruise">
          <MeasureField
            :value="go.cruise.speed"
            dimension="velocity"
            label="at"
            class="w-20!"
            @read="put({ ...go, cruise: { ...go.cruise!, speed: $event } })"
          />
          <MeasureField
            :value="go.cruise.seconds"
            dimension="time"
            label="for"
            class="w-16!"
            @read="put({ ...go, cruise: { ...go.cruise!, seconds: $event } })"
          />
        </template>
        <button type="button" class="act min-h-6" @click="remove">Remove this go</button>
      </template>
      <button type="button" class="act min-h-6" @click="add">Another go of it</button>
      <button type="button" class="act ml-auto min-h-6" @click="emit('choose', undefined)">Done</button>
    </div>
  </section>
</template>
