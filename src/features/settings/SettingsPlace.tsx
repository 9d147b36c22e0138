import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  formatDay,
  isCurrency,
  isoDay,
  parseCount,
  parseDecimal,
  percentText,
  type LengthUnit,
} from '@/core/units';
import { ok, type Result } from '@/core/result';
import {
  bringSamples,
  DAYS_KEPT,
  notify,
  removeSamples,
  setDeleted,
  staleAfter,
  startEmpty,
  takeNewVersion,
  useIsNewVersionWaiting,
  useProjects,
  useSettings,
  type Settings,
} from '@/hooks';
import {
  SectionHeader,
  Button,
  Choice,
  Columns,
  Confirm,
  LENGTH_UNITS,
  LengthField,
  ReadField,
  Row,
  TAX_ON_TAGS,
  Text,
} from '@/ui';
import { Aside } from './Aside';
import { Room } from './Room';
import { SaveEverything } from './SaveEverything';

const readCurrency = (text: string): Result<string> =>
  isCurrency(text.trim().toUpperCase())
    ? ok(text.trim().toUpperCase())
    : {
        ok: false,
        problems: [
          {
            code: 'currency',
            place: '',
            sentence: 'Write the three letters of the currency, such as USD or EUR.',
          },
        ],
      };

const readShare = (text: string): Result<number> => {
  const percent = parseDecimal(text.replace('%', ''));
  if (!percent.ok) return percent;
  return percent.value <= 100
    ? ok(percent.value / 100)
    : {
        ok: false,
        problems: [{ code: 'tax', place: '', sentence: 'Tax is a share in percent, at most 100.' }],
      };
};

const readDays = (text: string): Result<number> => {
  const days = parseCount(text);
  return days.ok && days.value <= 3650
    ? days
    : { ok: false, problems: [{ code: 'days', place: '', sentence: 'Write a number of days, such as 60.' }] };
};

/** What new projects start with, how Billet looks, and what is kept in this browser. */
export const SettingsPlace = () => {
  const { settings, change } = useSettings();
  const projects = useProjects();
  const isNewWaiting = useIsNewVersionWaiting();
  const [isEmptying, setEmptying] = useState(false);
  const count = projects?.records.length ?? 0;
  const samples = async () => {
    await bringSamples();
    notify({ text: 'The sample projects are there.' });
  };
  return (
    <Columns>
      <View style={styles.head}>
        <Text size="headline">Settings</Text>
      </View>
      <SectionHeader title="Look" />
      <View style={styles.pad}>
        <Choice
          label="Light or dark"
          value={settings.theme}
          options={[
            { value: 'system', label: 'As the device' },
            { value: 'light', label: 'Light' },
            { value: 'dark', label: 'Dark' },
          ]}
          onChange={(theme: Settings['theme']) => change({ theme })}
        />
      </View>
      <SectionHeader title="New projects start with" />
      <View style={styles.pad}>
        <Choice
          label="Unit of lengths"
          value={settings.unit}
          options={LENGTH_UNITS}
          onChange={(unit: LengthUnit) => change({ unit })}
        />
        <ReadField
          label="Currency"
          text={settings.currency}
          read={readCurrency}
          onRead={(currency) => change({ currency })}
        />
        <ReadField
          label="Sales tax in percent"
          inputMode="decimal"
          text={percentText(settings.tax)}
          read={readShare}
          onRead={(tax) => change({ tax })}
        />
        <Choice
          label="Prices on the tags"
          value={settings.taxIncluded ? 'with' : 'without'}
          options={TAX_ON_TAGS}
          onChange={(value) => change({ taxIncluded: value === 'with' })}
        />
        <LengthField
          label="Saw kerf"
          value={settings.kerf}
          unit={settings.unit}
          zero="allowed"
          onChange={(kerf) => kerf && change({ kerf })}
        />
        <Text size="small" tone="soft">
          A full-kerf blade takes about 1/8 in, a thin one 3/32 in (rules of thumb). A project has its own
          under Project details.
        </Text>
      </View>
      <SectionHeader title="Prices" />
      <View style={styles.pad}>
        <ReadField
          label="A price is old after so many days"
          inputMode="numeric"
          text={String(staleAfter(settings))}
          read={readDays}
          onRead={(staleAfter) => change({ staleAfter })}
        />
        <Text size="small" tone="soft">
          Old prices are marked in the price book and in the plan. Two months is a rule of thumb.
        </Text>
      </View>
      <SectionHeader title="Samples" />
      <View style={styles.pad}>
        <Text>
          Three projects with their stores and prices, all invented, to try things on. Nothing of them enters
          your own projects.
        </Text>
        <View style={styles.buttons}>
          <Button mode="outlined" onPress={() => void samples()}>
            Bring the samples
          </Button>
          {projects?.records.some(({ project }) => project.isSample) ? (
            <Button mode="outlined" onPress={removeSamples}>
              Remove the samples
            </Button>
          ) : null}
          <Button mode="outlined" onPress={() => setEmptying(true)}>
            Start empty
          </Button>
        </View>
      </View>
      <Aside />
      {projects && projects.deleted.length > 0 ? (
        <>
          <SectionHeader title="Deleted" note={`kept for ${DAYS_KEPT} days`} />
          {projects.deleted.map(({ project, deletedAt }) => (
            <Row key={project.id} style={styles.deleted}>
              <View style={styles.line}>
                <View style={styles.grow}>
                  <Text>{project.name}</Text>
                  <Text size="small" tone="soft">
                    deleted {formatDay(isoDay(deletedAt ?? 0))}
                  </Text>
                </View>
                <Button
                  onPress={() => setDeleted(project.id, null)}
                  accessibilityLabel={`Have ${project.name} back`}
                >
                  Have it back
                </Button>
              </View>
            </Row>
          ))}
        </>
      ) : null}
      <SectionHeader title="Where things are kept" />
      <View style={styles.pad}>
        <Text>
          Everything is kept in this browser alone, and in the files you save. Nothing of it is sent anywhere;
          a store you follow is only asked for its prices.
        </Text>
        <Room />
        <SaveEverything />
        {isNewWaiting ? (
          <Button mode="contained" onPress={takeNewVersion} style={styles.own}>
            Use the new Billet
          </Button>
        ) : null}
      </View>
      {isEmptying ? (
        <Confirm
          title="Start empty?"
          text={`All ${count} projects go to Deleted for ${DAYS_KEPT} days; all stores and prices are taken away.`}
          verb="Start empty"
          onConfirm={() => startEmpty()}
          onClose={() => setEmptying(false)}
        />
      ) : null}
    </Columns>
  );
};

const styles = StyleSheet.create({
  head: { padding: 16, paddingBottom: 8 },
  pad: { padding: 16, gap: 12 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  deleted: { paddingHorizontal: 16, paddingVertical: 8 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
  own: { alignSelf: 'flex-start' },
});
