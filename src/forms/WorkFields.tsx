import { StyleSheet, View } from 'react-native';
import { parseDecimal, parseMoney, symbol, toMain } from '@/core/units';
import type { Work } from '@/core/project';
import { ok, type Result } from '@/core/result';
import { Choice, ReadField } from '@/ui';

/** What a blank field means: nothing is told. */
export const orNone =
  (read: (text: string) => Result<number>) =>
  (text: string): Result<number | null> =>
    text.trim() === '' ? ok(null) : read(text);

/** A sum or number as it is typed; blank where none is told. */
export const orBlank = (sum: number | null | undefined, currency?: string): string =>
  sum === null || sum === undefined ? '' : String(currency === undefined ? sum : toMain(sum, currency));

const HOURS_FOR: { value: 'each' | 'all'; label: string }[] = [
  { value: 'each', label: 'For each' },
  { value: 'all', label: 'For all of them' },
];

/** Hours, what one counts as, and what is spent beside the ledger. */
export const WorkFields = ({
  work,
  builds,
  currency,
  onChange,
}: {
  work: Work;
  builds: number;
  currency: string;
  onChange: (fields: Partial<Work>) => void;
}) => {
  const money = orNone((text) => parseMoney(text, currency));
  const sign = symbol(currency).trim();
  // Of one it is the same; what is typed then is meant for each, should more be built later.
  const isEach = work.isHoursEach ?? work.hours === null;
  return (
    <>
      <View style={styles.pair}>
        <View style={styles.grow}>
          <ReadField
            label={builds === 1 ? 'Hours it takes' : isEach ? 'Hours for each' : 'Hours for all of them'}
            inputMode="decimal"
            text={orBlank(work.hours)}
            read={orNone(parseDecimal)}
            onRead={(hours) => onChange({ hours, isHoursEach: isEach || builds === 1 })}
          />
        </View>
        <View style={styles.grow}>
          <ReadField
            label={`An hour counts as, ${sign}`}
            inputMode="decimal"
            text={orBlank(work.rate, currency)}
            read={money}
            onRead={(rate) => onChange({ rate })}
            help="Blank: not counted."
          />
        </View>
      </View>
      {builds > 1 && work.hours !== null ? (
        <Choice
          label="The hours are"
          value={isEach ? 'each' : 'all'}
          options={HOURS_FOR}
          onChange={(meant) => onChange({ isHoursEach: meant === 'each' })}
        />
      ) : null}
      <ReadField
        label={`Tools, blades and power for it, ${sign}`}
        inputMode="decimal"
        text={orBlank(work.beside, currency)}
        read={money}
        onRead={(beside) => onChange({ beside })}
      />
    </>
  );
};

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
});
