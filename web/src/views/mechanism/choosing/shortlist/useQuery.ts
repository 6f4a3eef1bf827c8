import {
  likeInCan,
  likeInSpeed,
  outputSpeedNow,
  sameCan,
  totalIsOpen,
  WANT_IDS,
  type ChoosingSchool,
  type Like,
  type Must,
  type Scope,
  type ShortlistQuery,
  type WantId,
} from '@rough-gear/core';
import { computed, reactive, ref } from 'vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useMechanism } from '../../../../composables/useMechanism.js';

/** Lightest and widest that is searched unless said otherwise: what a robot's mechanisms have. */
const TOTALS = { from: '1', to: '300' } as const;

/** How the designs found are put in order: by weights, or one want after the other. */
export type RankBy = ChoosingSchool['rankBy'];

/** What is asked of the search, as it is typed; and the query where all of it is understood. */
export function useQuery() {
  const { plan, mechanism, choice, jobId } = useMechanism();
  const { parse } = useDisplay();
  const asked = reactive({
    scope: 'everything' as Scope,
    ownedOnly: false,
    like: 'job' as Like,
    eachType: false,
    mostMotors: 4,
    packs: 'mine' as ShortlistQuery['packs'],
    from: TOTALS.from as string,
    to: TOTALS.to as string,
    musts: [] as readonly Must[],
    mostPrice: '',
    mostMass: '',
  });
  const rankBy = ref<RankBy>('weights');
  /** Weight or place of each want; 0 leaves it out. */
  const numbers = reactive<Record<WantId, number>>({
    time: 3,
    mass: 2,
    price: 2,
    current: 1,
    margin: 3,
    slow: 0,
    common: 0,
    bought: 0,
  });

  /** A number of a field, why it is none, or nothing where it is empty. */
  const read = (text: string, dimension: 'ratio' | 'number' | 'mass', what: string) => {
    if (text.trim() === '') return {};
    const parsed = parse(text, dimension);
    if (!parsed.ok) return { problem: `${what}: ${parsed.reason}; for example ${parsed.example}` };
    return parsed.si > 0 || (dimension === 'number' && parsed.si === 0)
      ? { si: parsed.si }
      : { problem: `${what}: ${text} is not allowed, more than zero is` };
  };
  const fields = computed(() => ({
    from: read(asked.from, 'ratio', 'total from'),
    to: read(asked.to, 'ratio', 'total to'),
    mostPrice: read(asked.mostPrice, 'number', 'most money'),
    mostMass: read(asked.mostMass, 'mass', 'most mass'),
  }));
  /** Whether drives may be alike in more than the job: plain motors, out of everything. */
  const comparable = computed(() => choice.value.drive.kind === 'dc' && asked.scope === 'everything');
  const like = computed(() => (comparable.value ? asked.like : 'job'));
  const open = computed(() => !likeInSpeed(like.value) && totalIsOpen(mechanism.value, asked));
  const wants = computed(() => WANT_IDS.filter((want) => numbers[want] > 0));
  /** Why the drive that is there is nothing to be alike to. */
  const unlike = computed(() => {
    if (likeInSpeed(like.value) && outputSpeedNow(plan.value, mechanism.value) === undefined)
      return 'alike in wheel speed: today’s is not known, for a figure of the motor, the pack or the reduction is missing';
    const { drive } = choice.value;
    const motor = drive.kind === 'dc' ? plan.value.parts[drive.motor]?.part : undefined;
    if (likeInCan(like.value) && !(motor?.kind === 'motor' && sameCan(motor, motor)))
      return 'alike in the can: the width of today’s motor is not known; type it in the motor’s panel';
    return undefined;
  });
  const problem = computed(() => {
    const said = Object.values(fields.value).find((field) => field.problem)?.problem;
    if (said) return said;
    const { from, to } = fields.value;
    if (open.value && (from.si === undefined || to.si === undefined)) return 'total: a least and a greatest are wanted';
    if (open.value && !(to.si! > from.si!)) return `total: ${asked.from} to ${asked.to} is no range`;
    if (open.value && to.si! > 5000) return 'total to: up to 5000 is allowed';
    if (unlike.value) return unlike.value;
    return wants.value.length === 0 ? 'Choose at least one want.' : undefined;
  });
  const query = computed((): ShortlistQuery | undefined => {
    if (problem.value !== undefined) return undefined;
    const { from, to, mostPrice, mostMass } = fields.value;
    return {
      mechanismId: mechanism.value.id,
      jobId: jobId.value,
      scope: asked.scope,
      ownedOnly: asked.ownedOnly,
      mostMotors: asked.mostMotors,
      packs: asked.packs,
      like: like.value,
      eachType: comparable.value && asked.eachType,
      from: from.si ?? 1,
      to: to.si ?? 1.1,
      musts: asked.musts.map((must) => ({ ...must })),
      mostPrice: mostPrice.si,
      mostMass: mostMass.si,
      wants: wants.value,
    };
  });
  /** Sets the form as a school would; the totals and ceilings typed stay. */
  function begin(school: ChoosingSchool): void {
    asked.scope = school.scope;
    asked.ownedOnly = school.ownedOnly;
    asked.like = school.like;
    asked.eachType = school.eachType;
    rankBy.value = school.rankBy;
    for (const want of WANT_IDS) numbers[want] = school.wants[want] ?? 0;
  }

  return { asked, rankBy, numbers, wants, open, comparable, problem, query, begin };
}

export type Asked = ReturnType<typeof useQuery>['asked'];
export type WantNumbers = ReturnType<typeof useQuery>['numbers'];
