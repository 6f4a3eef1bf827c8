<script setup lang="ts">
import {
  applyChanges,
  changePack,
  MECHANISM_JOBS,
  proposeMechanism,
  SERVO_USES,
  WISHES,
  type Change,
  type MechanismKind,
  type PackNode,
  type Quantity,
  type ServoUseId,
  type WishMachine,
} from '@rough-gear/core';
import { computed, ref, shallowReactive, watch } from 'vue';
import { useRouter } from 'vue-router';
import { toast } from 'vue-sonner';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import { LOAD_DRAWINGS } from '../../../components/strip/drawings.js';
import LinkDrawing from '../../../components/strip/LinkDrawing.vue';
import { api } from '../../../api/client.js';
import { useShelf } from '../../../composables/useShelf.js';
import { usePlan } from '../../../stores/plan.js';
import { MACHINES, shelfFor } from './machines.js';
import WishField from './WishField.vue';

/** A kind, the numbers that decide and the pack: a first path follows, all marked typical, and the gauge answers. */
const { open } = defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: [] }>();

const plan = usePlan();
const router = useRouter();
const { shelf: packs, load: loadPacks } = useShelf('pack');

/** A tile of the dialog: a kind of mechanism, or for a servo what it is used for. */
interface Tile {
  readonly id: string;
  readonly kind: MechanismKind;
  readonly use?: ServoUseId;
}

const machine = ref<WishMachine>('dc');
const KINDS = (Object.keys(MECHANISM_JOBS) as MechanismKind[]).map((kind): Tile => ({ id: kind, kind }));
const USES = (Object.keys(SERVO_USES) as ServoUseId[]).map((use): Tile => ({
  id: use,
  kind: SERVO_USES[use].kind,
  use,
}));
/** Servos are asked for by their use. A walker's leg takes a servo. */
const tiles = computed(() =>
  machine.value === 'servo' ? USES : KINDS.filter(({ kind }) => WISHES[kind].machine !== 'servo'),
);
const tileId = ref('lift');
const tile = computed(() => tiles.value.find(({ id }) => id === tileId.value) ?? tiles.value[0]!);
const wishOf = ({ kind, use }: Tile) => (use ? SERVO_USES[use] : WISHES[kind]);
const wish = computed(() => wishOf(tile.value));
const name = ref('');
// Shallow: what is typed goes into the plan as it is, and the plan to the worker.
const values = shallowReactive<Record<string, Quantity | undefined>>({});
const pack = ref('keep');
const failure = ref('');
const busy = ref(false);

const packNode = computed(() => plan.document?.supply.find((node): node is PackNode => node.kind === 'pack'));
const packName = computed(() => (packNode.value ? plan.document?.parts[packNode.value.part]?.part.name : undefined));
/** Only a robot without mechanisms has no one else who minds another pack. */
const first = computed(() => plan.document?.mechanisms.length === 0);
const packOptions = computed(() => [
  { value: 'keep', text: `this robot’s: ${packName.value}` },
  ...packs.value.parts
    .filter(({ part }) => part.name !== packName.value)
    .map(({ id, part }) => ({ value: id, text: part.name })),
]);
const unread = shallowReactive<Record<string, boolean>>({});
/** What keeps it from being added, each by its field's name. */
const wanting = computed(() =>
  wish.value.fields.filter(({ key, optional }) => unread[key] || (!optional && !values[key])).map(({ label }) => label),
);
const ready = computed(() => wanting.value.length === 0);
watch(
  () => open,
  (now) => {
    if (!now) return;
    for (const key of Object.keys(values)) values[key] = undefined;
    for (const key of Object.keys(unread)) unread[key] = false;
    [name.value, failure.value, pack.value] = ['', '', 'keep'];
    void loadPacks();
  },
  // It is made when it is first opened: it is open then already.
  { immediate: true },
);

async function add(): Promise<void> {
  const document = plan.document;
  if (!document || !ready.value) return;
  busy.value = true;
  failure.value = '';
  try {
    const shelf = await shelfFor(machine.value, (one) => api.shelf(one));
    const given = wish.value.fields.flatMap(({ key }) => (values[key] ? [[key, values[key]] as const] : []));
    const { kind, use } = tile.value;
    const wanted = {
      kind,
      use,
      machine: machine.value,
      name: name.value.trim() || wish.value.name,
      values: Object.fromEntries(given),
    };
    const packChanges = packChange();
    const proposed = proposeMechanism(applyChanges(document, packChanges), wanted, shelf);
    plan.commit([...packChanges, ...proposed.changes]);
    if (proposed.note) toast(proposed.note);
    emit('close');
    await router.push({ name: 'mechanism', params: { planId: plan.id, mechanismId: proposed.id } });
  } catch (problem) {
    failure.value = (problem as Error).message;
  } finally {
    busy.value = false;
  }
}

function packChange(): readonly Change[] {
  const chosen = packs.value.parts.find(({ id }) => id === pack.value);
  if (!chosen || !plan.document) return [];
  return changePack(plan.document, { part: chosen.part, shelfId: chosen.id, shelfRevision: chosen.revision });
}
</script>

<template>
  <BaseDialog :open="open" title="Add a mechanism" wide @close="$emit('close')">
    <form class="flex flex-col gap-3" @submit.prevent="add">
      <div role="radiogroup" aria-label="Turned by" class="flex flex-wrap gap-x-5 gap-y-1">
        <label v-for="one in MACHINES" :key="one.id" class="flex items-center gap-1.5" :title="one.says">
          <input v-model="machine" type="radio" name="machine" :value="one.id" class="size-4" />
          <span :class="machine === one.id ? 'font-semibold' : ''">{{ one.title }}</span>
        </label>
      </div>
      <div role="radiogroup" aria-label="Kind" class="grid grid-cols-3 gap-2">
        <label
          v-for="one in tiles"
          :key="one.id"
          class="squared flex cursor-pointer items-center gap-2 border px-2 py-1 has-focus-visible:outline-2"
          :class="tile.id === one.id ? 'border-2 border-ink' : 'border-line'"
        >
          <input v-model="tileId" type="radio" name="kind" :value="one.id" class="sr-only" />
          <LinkDrawing :drawing="LOAD_DRAWINGS[one.kind]" class="shrink-0" />
          <span class="min-w-0"
            ><b class="block leading-tight">{{ wishOf(one).title }}</b
            ><span class="block text-xs leading-tight text-second">{{ wishOf(one).says }}</span></span
          >
        </label>
      </div>
      <div class="grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-3">
        <WishField
          v-for="field in wish.fields"
          :key="`${tile.id}-${field.key}`"
          v-model="values[field.key]"
          v-model:unread="unread[field.key]"
          :label="field.label"
          :dimension="field.dimension"
          :hint="field.hint"
          :or-none="field.orNone ?? false"
          :needed="!field.optional"
        />
        <ChoiceField v-if="first" :value="pack" label="pack" :options="packOptions" @change="pack = $event" />
        <p v-else class="text-sm">
          <span class="block text-second">pack</span>{{ packName }}
          <span class="block text-xs text-second">the whole robot’s; changed at its link</span>
        </p>
        <div>
          <label for="new-name" class="block text-second">called</label>
          <input
            id="new-name"
            v-model="name"
            maxlength="80"
            class="w-full border-b border-ink bg-transparent py-0.5"
            :placeholder="wish.name"
          />
        </div>
      </div>
      <p class="text-xs text-second">
        {{
          machine === 'servo'
            ? 'The weakest servo that does it is proposed, or the nearest where none does, on the robot’s servo rail; the demands are typical for this use.'
            : 'Motor, controller or driver, breaker and ratio are proposed, all marked typical.'
        }}
        Each is one click from being replaced.
      </p>
      <p v-if="failure" role="alert" class="text-gives">{{ failure }}</p>
      <div class="flex items-baseline justify-end gap-3">
        <p v-if="!ready" class="mr-auto text-sm text-second" data-testid="wanting">
          Still wanted: {{ wanting.join(', ') }}
        </p>
        <button type="button" class="button" @click="$emit('close')">Cancel</button>
        <button type="submit" class="button main disabled:opacity-50" :disabled="!ready || busy">Add it</button>
      </div>
    </form>
  </BaseDialog>
</template>
