import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { getAt, infoAt, setAt } from '../../model';
import { inserted, moved } from '../pages/editors/listEdits';
import { plainName, problemLines } from '../shell/files';
import { parseNumber } from '../ui/parseNumber';

describe('numbers as people type them', () => {
  it.each([
    ['12', 12],
    [' 12.5 ', 12.5],
    ['12,5', 12.5],
    ['-3', -3],
    ['−3', -3],
    ['+4', 4],
    ['.5', 0.5],
    ['1 234', 1234],
    ['1 234,5', 1234.5],
    ["1'234", 1234],
    ['2e3', 2000],
  ])('%j is %d', (text, value) => expect(parseNumber(text)).toBe(value));

  it.each(['', ' ', 'NaN', 'Infinity', '1e999', '12 apples', '0x10', '1.2.3', '--1', '1,2,3', '12 3'])(
    '%j is no number',
    (text) => expect(parseNumber(text)).toBeNull(),
  );

  it('come back from any way of writing a finite number', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true, noDefaultInfinity: true }), (value) => {
        const plain = Number(value.toFixed(6)) + 0;
        expect(parseNumber(plain.toFixed(6))).toBe(plain);
        expect(parseNumber(plain.toFixed(6).replace('.', ','))).toBe(plain);
      }),
    );
  });
});

describe('paths into an item', () => {
  const [car] = demoProject.cars;

  it('replace one value and share everything beside it', () => {
    const next = setAt(car, ['front', 'rotor', 'thicknessMm'], 22) as typeof car;
    expect(getAt(next, ['front', 'rotor', 'thicknessMm'])).toBe(22);
    expect(car.front.rotor.thicknessMm).toBe(25);
    expect(next.rear).toBe(car.rear);
    expect(next.front.caliper).toBe(car.front.caliper);
    expect({ ...next, front: { ...next.front, rotor: car.front.rotor } }).toEqual(car);
  });

  it('go through lists', () => {
    const [circuit] = demoProject.circuits;
    const next = setAt(circuit, ['layout', 'segments', 1, 'radiusM'], 77);
    expect(getAt(next, ['layout', 'segments', 1, 'radiusM'])).toBe(77);
    expect(getAt(next, ['layout', 'segments', 2])).toBe(getAt(circuit, ['layout', 'segments', 2]));
    expect(getAt(car, ['recovery', 'powerKw'])).toBeUndefined();
  });

  it('lead to each number’s description, through what may be absent, or say that there is none', () => {
    expect(infoAt('cars', ['massKg'])).toMatchObject({ title: 'Mass', quantity: 'mass', min: 100 });
    expect(infoAt('cars', ['recovery', 'powerKw']).title).toBe('Recovery power');
    expect(infoAt('plans', ['sessions', 0, 'ambientC'])).toMatchObject({
      quantity: 'temperature',
      nullable: false,
    });
    expect(infoAt('cars', ['rear', 'rotor', 'weighedKg']).nullable).toBe(true);
    expect(() => infoAt('cars', ['wings'])).toThrow(/cars has no wings/);
  });
});

describe('lists', () => {
  it('move and insert without losing anything', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer(), { minLength: 2, maxLength: 9 }),
        fc.nat(),
        fc.nat(),
        (list, at, to) => {
          const [i, j] = [at % list.length, to % list.length];
          const there = moved(list, i, j);
          expect(there[j]).toBe(list[i]);
          expect(moved(there, j, i)).toEqual(list);
          expect([...there].sort()).toEqual([...list].sort());
          expect(inserted(list, i, 99).filter((_, k) => k !== i)).toEqual(list);
        },
      ),
    );
  });
});

describe('file names and messages', () => {
  it('make a plain file name of any name', () => {
    expect(plainName('Größe & "Ziel" / 2')).toBe('groe-ziel-2');
    expect(plainName('../../etc/passwd')).toBe('etcpasswd');
    expect(plainName('☃')).toBe('fervent-kettle');
  });

  it('show the first few problems and how many more there are', () => {
    const problems = Array.from({ length: 9 }, (_, i) => ({
      path: i === 0 ? '' : `cars[${i}]`,
      message: 'is odd',
      severity: 'error' as const,
    }));
    const lines = problemLines(problems);
    expect(lines[0]).toBe('is odd');
    expect(lines[1]).toBe('cars[1]: is odd');
    expect(lines).toHaveLength(6);
    expect(lines[5]).toContain('4 more');
  });
});
