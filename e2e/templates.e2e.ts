import { expect, test } from '@playwright/test';
import { PHONE, visitNew, WIDE } from '../harness/browser';
import { HELPERS, TEMPLATES } from '../src/core/takeoff';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

const at = atSite();

for (const [what, size] of [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const)
  test(`a whole thing from its template, and back with one undo: ${what}`, async () => {
    const { page, context, complaints } = await visitNew(at.browser, size);
    page.setDefaultTimeout(20_000);
    const hands = size === PHONE ? thumb(page) : keyboard(page);
    const button = (name: string | RegExp) => page.getByRole('button', { name }).first();
    await page.goto(at.site.address);
    await hands.press(button('Start my own project'));
    await hands.write(page.getByLabel('Name', { exact: true }), 'Climbing beans');
    await hands.press(button('Make the project'));
    await hands.press(button('Build from measures'));
    const kinds = page
      .getByRole('dialog')
      .getByRole('button')
      .filter({ has: page.locator('svg polygon') });
    // Whole things and parts of things, each with its picture.
    await expect(kinds).toHaveCount(TEMPLATES.length + HELPERS.length);
    await hands.press(button('Trellis'));
    const sheet = page.getByRole('dialog');
    await hands.write(sheet.getByLabel('Width', { exact: true }), 'wide');
    await expect(button('Add all of it')).toBeDisabled();
    await hands.write(sheet.getByLabel('Width', { exact: true }), '60');
    await sheet.getByText('5 × Slat · 1x2 · 72"').waitFor();
    await hands.press(button('Add all of it'));
    await button(/^Change 5 Slat/).waitFor();
    await button(/^Change 2 Stake/).waitFor();
    // Rails across the width that was typed: (60 - 12 in above the ground + 8)/(1 1/2 + 8), none further apart than 8 in.
    await expect(page.getByRole('group', { name: 'Rails' }).getByText('60"')).toBeVisible();
    await hands.press(button('Undo'));
    await expect(button(/^Change 5 Slat/)).toHaveCount(0);
    await page.getByText('Nothing in it yet', { exact: false }).waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });
