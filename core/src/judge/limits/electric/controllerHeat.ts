import { controllerHeat as heatOf, currentForHeat } from '../../../models/controller/heat.js';
import { add, div, mul, named, num, pow, sqrt } from '../../../path/worked/expression.js';
import { dutyShareOf, figureOf, restVoltageOf } from '../../../path/terms/pathTerms.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import { electricLimit } from './electricLimit.js';

/** The heat of its steady current at the highest volts it is made for, W: what its case gives off. */
const givesOff = ({ controller }: DcPath): number =>
  heatOf(controller, controller.highestVoltage, controller.continuousCurrent!);

/** While the job is done its heat is spread over the whole time; holding is steady. */
const shareOf = (path: DcPath, working: boolean): number => (working ? path.asked.dutyShare : 1);

/** What the controller carries for ever: the heat of its steady current, from resistance and switching, on this pack. */
export const controllerHeat = electricLimit({
  id: 'controller-heat',
  name: 'controller’s heat',
  subject: 'The controller’s steady current',
  link: 'controller',
  wants: 1.2,
  goodFirst: false,
  also: ['window'],
  situations: ['working', 'holding'],
  levers: ['deeper', 'motors', 'less-often', 'lighter', 'longer', 'less-push', 'counterforce', 'spring', 'holder'],
  applies: ({ controller }) => controller.continuousCurrent !== undefined,
  motorCurrent: (path, { id }) =>
    currentForHeat(path.controller, path.restVoltage, givesOff(path) / shareOf(path, id === 'working')),
  currentWorking: (path, { id }) => {
    const resistance = figureOf(path, 'controller.resistance');
    const steady = figureOf(path, 'controller.continuousCurrent');
    const switching = figureOf(path, 'controller.switching');
    const gives = add(
      mul(resistance, pow(steady, 2)),
      mul(switching, figureOf(path, 'controller.highestVoltage'), steady),
    );
    const heat = named('P', 'heat it gives off', 'power', id === 'working' ? div(gives, dutyShareOf(path)) : gives);
    const linear = mul(switching, restVoltageOf(path));
    const root = sqrt(add(pow(linear, 2), mul(num(4), resistance, heat)));
    return named('I', 'motor current', 'current', div(mul(num(2), heat), add(linear, root)));
  },
});
