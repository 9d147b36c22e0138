import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { blankFault, faultOf } from '@/core/result';
import { type Costs, type ToolCost } from '@/core/budget';
import { formatMoney, parseDecimal, parseMoney, symbol, type LengthUnit } from '@/core/units';
import type { Charge, Work } from '@/core/project';
import { newId, notify, type OpenProject } from '@/hooks';
import { SectionHeader, Button, IconAction, ReadField, Row, TextField, Text } from '@/ui';
import { orBlank, orNone, useTries } from '@/forms';
import { ChargeFields, USUAL } from './ChargeFields';

interface Props {
  open: OpenProject;
  costs: Costs;
  work: Work;
  onChange: (fields: Partial<Work>) => void;
}

/** Tools that were bought for it, each counted whole, by its share of the projects it will serve, or not at all. */
export const ToolCosts = ({ open, costs, work, onChange }: Props) => {
  const { project, dispatch, undo } = open;
  const { currency } = project;
  const own = work.tools ?? [];
  const charge = ({ id, at }: ToolCost, next: Charge) => {
    if (!at)
      return onChange({ tools: own.map((tool) => (tool.id === id ? { ...tool, charge: next } : tool)) });
    const purchase = project.purchases.find((one) => one.id === at.purchaseId);
    const line = purchase?.lines[at.line];
    if (purchase && line)
      dispatch({
        type: 'replaceLine',
        purchaseId: purchase.id,
        line,
        by: [{ ...line, charge: next }],
      });
  };
  const remove = (tool: ToolCost) => {
    onChange({ tools: own.filter(({ id }) => id !== tool.id) });
    notify({ text: `${tool.name} is not counted any more.`, action: { label: 'Undo', run: undo } });
  };
  return (
    <View role="region" aria-label="Tools">
      <SectionHeader
        title="Tools"
        note={costs.tools.length === 0 ? 'none counted' : 'as they count all in'}
      />
      {costs.tools.map((tool) => (
        <Row key={tool.id} style={styles.row}>
          <View style={styles.line}>
            <View style={styles.grow}>
              <Text>{tool.name}</Text>
              <Text
                size="small"
                tone="soft"
              >{`${formatMoney(tool.price, currency)}${tool.at ? ', in the ledger' : ''}: counts ${formatMoney(tool.counted, currency)}`}</Text>
            </View>
            {tool.at ? null : (
              <IconAction icon="delete" label={`Do not count ${tool.name}`} onPress={() => remove(tool)} />
            )}
          </View>
          <ChargeFields name={tool.name} charge={tool.charge} onChange={(next) => charge(tool, next)} />
        </Row>
      ))}
      <AddTool
        currency={currency}
        onAdd={(name, price) =>
          onChange({ tools: [...own, { id: newId(), name, price, charge: { way: 'spread', over: USUAL } }] })
        }
      />
    </View>
  );
};

const AddTool = ({ currency, onAdd }: { currency: string; onAdd: (name: string, price: number) => void }) => {
  const [name, setName] = useState('');
  const [price, setPrice] = useState('');
  const tries = useTries();
  const read = parseMoney(price, currency);
  const add = () => {
    tries.attempt();
    if (!read.ok || name.trim() === '') return;
    onAdd(name.trim(), read.value);
    setName('');
    setPrice('');
    tries.restart();
  };
  return (
    <View style={styles.fields}>
      <View style={styles.pair}>
        <View style={styles.grow}>
          <TextField
            label="Another tool"
            value={name}
            onChange={setName}
            onSubmitEditing={add}
            error={tries.told(blankFault(name, 'Say which tool.'))}
          />
        </View>
        <View style={styles.grow}>
          <TextField
            label={`Its price, ${symbol(currency).trim()}`}
            value={price}
            onChange={setPrice}
            inputMode="decimal"
            onSubmitEditing={add}
            error={tries.told(faultOf(read))}
          />
        </View>
      </View>
      <Button mode="outlined" icon="add" onPress={add}>
        Count a tool that is owned already
      </Button>
    </View>
  );
};

/** The way there and back by distance, and electricity, each at what one costs. */
export const TravelAndPower = ({
  work,
  currency,
  unit,
  onChange,
}: {
  work: Work;
  currency: string;
  unit: LengthUnit;
  onChange: (fields: Partial<Work>) => void;
}) => {
  const sign = symbol(currency).trim();
  const travel = work.travel ?? {
    distance: 0,
    unit: unit === 'in' ? ('mi' as const) : ('km' as const),
    rate: 0,
  };
  const power = work.power ?? { kilowattHours: 0, rate: 0 };
  const money = orNone((text) => parseMoney(text, currency));
  const far = travel.unit === 'mi' ? 'Miles' : 'Kilometres';
  return (
    <>
      <View style={styles.pair}>
        <View style={styles.grow}>
          <ReadField
            label={`${far} driven`}
            inputMode="decimal"
            text={orBlank(work.travel?.distance || null)}
            read={orNone(parseDecimal)}
            onRead={(distance) => onChange({ travel: { ...travel, distance: distance ?? 0 } })}
          />
        </View>
        <View style={styles.grow}>
          <ReadField
            label={`${travel.unit === 'mi' ? 'A mile' : 'A km'} costs, ${sign}`}
            inputMode="decimal"
            text={orBlank(work.travel?.rate || null, currency)}
            read={money}
            onRead={(rate) => onChange({ travel: { ...travel, rate: rate ?? 0 } })}
          />
        </View>
      </View>
      <View style={styles.pair}>
        <View style={styles.grow}>
          <ReadField
            label="Electricity, kWh"
            inputMode="decimal"
            text={orBlank(work.power?.kilowattHours || null)}
            read={orNone(parseDecimal)}
            onRead={(kilowattHours) => onChange({ power: { ...power, kilowattHours: kilowattHours ?? 0 } })}
          />
        </View>
        <View style={styles.grow}>
          <ReadField
            label={`A kWh costs, ${sign}`}
            inputMode="decimal"
            text={orBlank(work.power?.rate || null, currency)}
            read={money}
            onRead={(rate) => onChange({ power: { ...power, rate: rate ?? 0 } })}
          />
        </View>
      </View>
    </>
  );
};

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 10, gap: 6 },
  line: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  fields: { padding: 16, gap: 12 },
  pair: { flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
});
