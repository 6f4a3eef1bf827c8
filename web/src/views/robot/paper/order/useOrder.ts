import {
  cameHere,
  digits,
  lineId,
  moneyOf,
  ORDER_GROUPS,
  orderSheet,
  piecesSoFar,
  secondsWanted,
  secondWheels,
  suppliersOf,
  USUAL_SPARES,
  type OrderLine,
  type PiecesSoFar,
  type Plan,
  type SecondWheel,
  type SeriesPart,
  type Stock,
} from '@rough-gear/core';
import { computed, inject, provide, reactive, ref, type InjectionKey } from 'vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useAccess } from '../../../../stores/access.js';
import { useDiary } from '../../../../stores/diary.js';
import { useWholeShelf } from '../../../../stores/shelf.js';

/** A line of the sheet with what was done about it. */
export interface TrackedLine {
  readonly id: string;
  readonly line: OrderLine;
  readonly so?: PiecesSoFar;
  readonly supplier: string;
}

const NO_SUPPLIER = 'no seller yet';

function makeOrder(plan: () => Plan) {
  const { show } = useDisplay();
  const diary = useDiary();
  const access = useAccess();
  const shelf = useWholeShelf();
  void shelf.load();

  const rule = reactive({ ...USUAL_SPARES });
  const by = ref<'kind' | 'seller'>('kind');
  const stock = computed<readonly Stock[]>(() =>
    shelf.offered.flatMap(({ id, part }) => (part.kind === 'series' ? [{ id, part: part as SeriesPart }] : [])),
  );
  const wheels = computed<readonly SecondWheel[]>(() => secondWheels(plan(), stock.value));
  const wanted = computed(() => secondsWanted(diary.entries));
  const came = computed(() => cameHere(diary.entries));
  const sheet = computed(() =>
    orderSheet(plan(), rule, {
      came: came.value,
      also: wheels.value.filter(({ id }) => wanted.value.has(id)).flatMap(({ needs }) => needs),
    }),
  );
  const lines = computed<readonly TrackedLine[]>(() => {
    const [so, suppliers] = [piecesSoFar(diary.entries), suppliersOf(diary.entries)];
    return sheet.value.lines.map((line) => {
      const id = lineId(line);
      return { id, line, so: so.get(id), supplier: suppliers.get(id) ?? '' };
    });
  });
  const groups = computed(() => {
    const of = ({ line, supplier }: TrackedLine): string =>
      by.value === 'kind' ? line.group : supplier || NO_SUPPLIER;
    const names: readonly string[] =
      by.value === 'kind' ? ORDER_GROUPS : [...new Set(lines.value.map(of))].sort((a, b) => a.localeCompare(b));
    return names.flatMap((name) => {
      const own = lines.value.filter((one) => of(one) === name);
      return own.length > 0 ? [{ name, lines: own }] : [];
    });
  });
  const money = computed(() => moneyOf(diary.entries));
  const priced = (value: number | undefined): string => (value === undefined ? 'no price' : digits(value, 5));
  const moneyText = (value: number | undefined): string =>
    value === undefined ? priced(value) : [priced(value), money.value.currency].filter(Boolean).join(' ');
  /** Pieces, or a length of what is cut. */
  const count = ({ measure }: OrderLine, value: number): string =>
    measure === 'metres' ? show(value, 'length', 3) : digits(value, 4);

  return {
    diary,
    mayChange: computed(() => access.mayChange),
    plan,
    shelf,
    rule,
    by,
    wheels,
    wanted,
    sheet,
    lines,
    groups,
    money,
    moneyText,
    priced,
    count,
  };
}

type Order = ReturnType<typeof makeOrder>;
const KEY: InjectionKey<Order> = Symbol('order');

/** Begins an order sheet: what is below it finds it by `useOrder`. */
export function provideOrder(plan: () => Plan): Order {
  const order = makeOrder(plan);
  provide(KEY, order);
  return order;
}

export function useOrder(): Order {
  const order = inject(KEY);
  if (!order) throw new Error('no order sheet is open here');
  return order;
}
