import type { HeatBalance, PartFlow } from '../../../core';

export interface Place {
  readonly name: string;
  readonly kind: 'source' | 'part' | 'air' | 'store';
}
export interface Flow {
  readonly source: number;
  readonly target: number;
  readonly value: number;
}

/** Which way heat takes from a part to the air. */
function airName(part: string, path: PartFlow['path']): string {
  if (part === 'bell and hub') return 'air at bell and hub';
  if (part !== 'rotor') return 'air at pads and caliper';
  const ways: Partial<Record<PartFlow['path'], string>> = {
    faces: 'air at the surfaces',
    vanes: 'air in the vanes',
    radiation: 'radiation',
  };
  return ways[path] ?? 'air outside';
}

/** What a balance says, as places and flows: friction on the left, air and stores on the right. */
export function flowPicture(balance: HeatBalance): { places: Place[]; flows: Flow[] } {
  const places: Place[] = [];
  const flows: Flow[] = [];
  const place = (name: string, kind: Place['kind']) => {
    const known = places.findIndex((p) => p.name === name);
    return known >= 0 ? known : places.push({ name, kind }) - 1;
  };
  const add = (source: number, target: number, value: number) => {
    if (value > 0) flows.push({ source, target, value });
  };
  const part = (of: string) =>
    of === 'rotor' ? 'rotor' : of === 'hat' || of === 'hub' ? 'bell and hub' : 'pads and caliper';
  add(place('friction in the rotor', 'source'), place('rotor', 'part'), balance.intoRotor);
  add(place('friction in the pads', 'source'), place('pads and caliper', 'part'), balance.intoPads);
  const between = new Map<string, number>();
  for (const { from, to, path, heat } of balance.flows) {
    const a = part(from);
    const b = to === 'air' ? airName(a, path) : part(to);
    if (a !== b) between.set(`${a}>${b}`, (between.get(`${a}>${b}`) ?? 0) + heat);
  }
  for (const [key, heat] of between) {
    const [a, b] = key.split('>');
    const target = place(b, b.startsWith('air') || b === 'radiation' ? 'air' : 'part');
    const source = place(a, 'part');
    if (heat >= 0) add(source, target, heat);
    else add(target, source, -heat);
  }
  const stores = new Map<string, number>();
  for (const [group, heat] of Object.entries(balance.stored)) {
    stores.set(part(group), (stores.get(part(group)) ?? 0) + heat);
  }
  for (const [name, heat] of stores) {
    if (heat >= 0) add(place(name, 'part'), place(`kept in ${name}`, 'store'), heat);
    else add(place(`left from before in ${name}`, 'source'), place(name, 'part'), -heat);
  }
  return { places, flows };
}

/** Flows that go there and back between two parts, netted, so that the picture runs from left to right. */
export function withoutReturns(flows: readonly Flow[]): Flow[] {
  const kept: Flow[] = [];
  for (const flow of flows) {
    const back = kept.findIndex((k) => k.source === flow.target && k.target === flow.source);
    if (back < 0) kept.push(flow);
    else {
      const net = kept[back].value - flow.value;
      kept.splice(back, 1);
      if (net > 0) kept.push({ source: flow.target, target: flow.source, value: net });
      else if (net < 0) kept.push({ ...flow, value: -net });
    }
  }
  return kept;
}
