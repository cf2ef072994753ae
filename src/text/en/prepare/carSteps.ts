import type { StepCode } from '../../../services';
import type { StepFacts, StepWords } from './facts';
import type { WHEEL_STEPS } from './wheelSteps';

/** Steps of the whole car: what is done, why, and how one sees that it is right. */
export const CAR_STEPS: Readonly<
  Record<Exclude<StepCode, keyof typeof WHEEL_STEPS>, (f: StepFacts) => StepWords>
> = {
  'maker data': () => [
    'Open the maker’s workshop data for this car and for every part that goes in, and the event’s rules.',
    'Where they say otherwise than this list, they count. Brake parts are safety parts: someone qualified does the work or looks it over.',
    'The pages for torques, minimum thicknesses and bleeding lie open.',
  ],
  gather: () => [
    'Lay out tools, parts and consumables before anything is taken apart.',
    'With the car on stands and the brakes open it is too late to find that a part is missing.',
    'Parts compared with the old ones: same diameter, same offset, left and right.',
  ],
  cold: () => [
    'Let the brakes cool for at least half an hour after the last drive.',
    'Discs and calipers burn long after they have stopped glowing, and fluid runs out of a hot caliper faster than it can be caught.',
    'A hand near the disc feels no warmth.',
  ],
  'service mode': () => [
    'Put the electric parking brake into its maintenance mode with the diagnostic tool.',
    'Otherwise its motor holds the piston, or closes on fingers.',
    'The tool shows the mode; the pistons give way.',
  ],
  chock: () => [
    'Level, firm ground; chock the wheels that stay down.',
    'With the parking brake released for the work nothing else holds the car.',
    'The car does not move when pushed.',
  ],
  'loosen wheels': () => [
    'Loosen the wheel fastenings a quarter turn with the wheels on the ground.',
    'In the air the wheel turns, and the car can come off its jack.',
    'All of them give way.',
  ],
  lift: () => [
    'Lift at the maker’s points and set the car on stands.',
    'A jack alone can slip or sink.',
    'Pushed at the roof, the car stands still on all stands.',
  ],
  'draw off': ({ pushBack }) => [
    pushBack?.tooLittle
      ? `Cover the paint and draw fluid off the reservoir until there is room for ${pushBack.home} (${pushBack.room} now).`
      : pushBack
        ? `Cover the paint. The reservoir has room for ${pushBack.room}, and the pistons bring back ${pushBack.home} at most.`
        : 'Cover the paint and look at the reservoir’s level.',
    'What the pistons push back rises in the reservoir, and fluid eats paint. What has been drawn is not filled in again.',
    'There is room for what comes back, and the outlets stay covered.',
  ],
  'protect below': ({ protections }) => [
    `Fit what protects the parts near the exhaust, on both sides of the car: ${protections}.`,
    'What is hot on one side is mostly hot on the other.',
    'Nothing touches pipe, shaft or ground; a strip or paint is on it for the reading before and after.',
  ],
  'wheels tightened front': () => [
    'Front wheels on the ground: tighten crosswise, in two rounds.',
    'A wheel tightened in the air or in a circle sits askew, and looks like a warped rotor.',
    'Each clicks at the maker’s figure.',
  ],
  'wheels tightened rear': () => [
    'Rear wheels on the ground: tighten crosswise, in two rounds.',
    'A wheel tightened in the air or in a circle sits askew, and looks like a warped rotor.',
    'Each clicks at the maker’s figure.',
  ],
  bleed: ({ bleedWay }) => [
    `Bleed as the plan under Bleed says: ${bleedWay}.`,
    'Air gives way under the foot; old fluid boils sooner.',
    'New colour without bubbles at every screw; all caps back on.',
  ],
  level: () => [
    'Fill the reservoir to between its marks with fluid from a bottle that was sealed until now or has been open only as long as you allow; close the cap.',
    'Pads wear and the level falls; over the maximum it runs over when pistons go back.',
    'Level between the marks, cap and its seal clean.',
  ],
  'leave service mode': () => [
    'Take the parking brake out of its maintenance mode and apply it once.',
    'Until then it does not hold, and does not know where the new pads stand.',
    'No fault is stored; the car is held on a slope.',
  ],
  'parking brake': () => [
    'Set the parking brake: it holds after 4 to 5 clicks (common practice; the maker’s figure counts).',
    'Too few clicks and the shoes rub; too many and it does not hold.',
    'Wheels free with the lever down, held after 4 to 5 clicks, alike left and right.',
  ],
  'pump the pedal': ({ pumps }) => [
    `Before the car moves: pump the pedal until it is firm. Expect about ${pumps} ${pumps === 1 ? 'full stroke' : 'full strokes'}.`,
    'The pads stand away from the discs: the first push goes to the floor and brakes nothing.',
    'The pedal is high and hard, and stays so on the next push.',
  ],
  'hold the pedal': () => [
    'Press hard and hold for half a minute, engine running where there is a servo; then look at every union and screw.',
    'A leak shows only under pressure.',
    'The pedal does not sink; everything is dry.',
  ],
  'walking pace': () => [
    'First brake at walking pace, on level ground with room, nobody before the car.',
    'This is the first proof that the brakes work.',
    'It stops straight, without noise, with the pedal where it was.',
  ],
  'bed in': ({ bedding }) => [
    `Bed the pads as the plan under Bed says: ${bedding}.`,
    'Rotor and pad must come up together: cold rotors with hot pads smear and shake.',
    'An even grey film without patches, on both faces; no shake at the end.',
  ],
  'road check': () => [
    'Short drive where law, traffic and place allow it: gentle stops first, then firmer ones.',
    'Loose, rubbing and leaking parts show once they are warm and moving.',
    'Straight, quiet, pedal height unchanged; no warning lamp.',
  ],
  'look again': () => [
    'After it has cooled: look for leaks, chafed hoses and lines, loose ties; check the wheel fastenings once more after some 50 km or 30 miles (common practice).',
    'Paint and rust between wheel and hub settle.',
    'Dry, clear of everything; no fastening turns further at the maker’s figure.',
  ],
};
