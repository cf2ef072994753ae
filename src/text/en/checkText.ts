import { formatQuantity, siText, type UnitChoice } from '../../model';
import type { Finding, PadTrade } from '../../services';

/** What was found about a change, in words. */
export function checkText(finding: Finding, units: UnitChoice): string {
  switch (finding.kind) {
    case 'fits':
      return fitText(finding, units);
    case 'mixes':
      return MIXES[finding.found];
    case 'pedal': {
      const force = formatQuantity(finding.force, 'force', units);
      const travel = siText(finding.travel, 'smallLength', units);
      return {
        usable: 'the pedal stays usable',
        'too-heavy': `the pedal needs more force than the driver has (${force})`,
        'too-long': `the pedal needs more travel than there is (${travel})`,
        heavier: `the pedal gets heavier: ${force}`,
        longer: `the pedal gets longer: ${travel}`,
      }[finding.found];
    }
    case 'trades':
      return finding.found === 'alike'
        ? 'no more dust, noise or rotor wear to speak of'
        : [...new Set(finding.worse.map(tradeText))].join(', ');
    case 'balance': {
      const { moved, before, after, zones } = finding;
      const points = `${Math.abs(100 * moved).toFixed(1)} points to the ${moved < 0 ? 'rear' : 'front'}`;
      return {
        stays: 'balance stays',
        moves: `balance moves ${points}`,
        'rear-first': `the rear is nearer to locking at ${after} of ${zones} braking zones (before ${before}); ${points}`,
      }[finding.found];
    }
  }
}

const WORSE = { dust: 'more dust', noise: 'noisier', rotorWear: 'harder on the rotor' } as const;

function tradeText({ what, before, after }: PadTrade): string {
  if (what === 'coldBite') return `bites less cold (µ ${after.toFixed(2)}, before ${before.toFixed(2)})`;
  return WORSE[what];
}

const MIXES = {
  mixes: 'mixes with what is in it; flush it all the same',
  never: 'never mix glycol and silicone: every seal, hose and cylinder has to be changed',
  silicone: 'silicone: more pedal travel, not advised on track or with ABS',
} as const;

function fitText(finding: Finding & { kind: 'fits' }, units: UnitChoice): string {
  switch (finding.found) {
    case 'fits':
      return 'fits the wheel';
    case 'invalid':
      return `does not go together: ${finding.path} ${finding.message}`;
    case 'carbon':
      return finding.wants === 'pads'
        ? `${finding.axle} carbon rotors want carbon pads`
        : `${finding.axle} carbon pads want carbon rotors`;
    case 'touches':
    case 'tight': {
      const room = siText(finding.short, 'smallLength', units);
      return finding.found === 'touches'
        ? `does not fit the ${finding.axle} wheel: ${room} too little room`
        : `tight in the ${finding.axle} wheel: ${room} under the usual room`;
    }
  }
}
