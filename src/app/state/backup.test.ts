import fc from 'fast-check';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { memoryJournals } from '../../../tests/support/memoryStore';
import { backupDue, backupMade, lastBackup, remindLater } from './backup';

const DAY = 86_400_000;
const NOW = Date.UTC(2026, 10, 28, 20);

describe('the reminder of a backup', () => {
  beforeEach(() => vi.stubGlobal('localStorage', memoryJournals().kept));

  it('comes a month after the first visit, or after the last backup, and leaves be for a week', () => {
    expect(backupDue(NOW)).toBeNull();
    expect(lastBackup(NOW)).toBeNull();
    expect(backupDue(NOW + 29 * DAY)).toBeNull();
    expect(backupDue(NOW + 30 * DAY)).toBe(30);
    remindLater(NOW + 31 * DAY);
    expect(backupDue(NOW + 37 * DAY)).toBeNull();
    expect(backupDue(NOW + 38 * DAY)).toBe(38);
    backupMade(NOW + 40 * DAY);
    expect(lastBackup(NOW + 41 * DAY)).toBe(NOW + 40 * DAY);
    expect(backupDue(NOW + 69 * DAY)).toBeNull();
    expect(backupDue(NOW + 70 * DAY)).toBe(30);
  });

  it('is never due within a month of a backup, whatever was put off', () => {
    fc.assert(
      fc.property(fc.nat(400), fc.nat(400), fc.nat(29), (made, later, since) => {
        vi.stubGlobal('localStorage', memoryJournals().kept);
        backupDue(NOW);
        remindLater(NOW + later * DAY);
        backupMade(NOW + made * DAY);
        expect(backupDue(NOW + (made + since) * DAY)).toBeNull();
      }),
    );
  });

  it('begins anew with a note that is garbled, and says nothing where the browser keeps none', () => {
    localStorage.setItem('fervent-kettle-backup', '{"since":"yesterday"}');
    expect(backupDue(NOW)).toBeNull();
    expect(backupDue(NOW + 30 * DAY)).toBe(30);
    vi.stubGlobal('localStorage', undefined);
    expect(backupDue(NOW + 90 * DAY)).toBeNull();
    expect(() => backupMade(NOW)).not.toThrow();
  });
});
