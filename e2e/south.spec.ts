import { expect, test } from './thistle.ts'

test('south of the equator the months are turned round', async ({ page, request, serving }) => {
  const waterId = '0190b3a0-0000-7000-8000-0000000000a1'
  const reachId = '0190b3a0-0000-7000-8000-0000000000a2'
  const rules = {
    dryOnly: null,
    upstreamOnly: null,
    maxFlies: null,
    barbless: null,
    noLead: null,
    noAddedWeight: null,
    minHookSize: null,
    maxHookSize: null,
    noIndicator: null,
    maxLeaderMm: null,
  }
  const water = {
    name: 'Upside-Down Beck',
    kind: 'freestone',
    latitudeDeg: -43,
    longitudeDeg: 171,
    timeZone: 'Pacific/Auckland',
    clarityMm: 2000,
    snagginess: 1,
    openFromMonthDay: null,
    openToMonthDay: null,
    iceOffMonthDay: null,
    rules,
    rulesNote: '',
  }
  const reach = {
    id: reachId,
    kind: 'reach',
    name: 'Lower Fork',
    elevationM: 100,
    typicalDepthMm: 900,
    surfaceSpeedMmPerS: 600,
    thermoclineMm: null,
    defaultTempC: [15, 15, 13, 10, 7, 5, 4, 5, 7, 9, 11, 14],
  }
  const made = await request.post(`${serving.address}/api/commands`, {
    data: {
      id: '0190b3a0-0000-7000-8000-0000000000a3',
      kind: 'waterCreate',
      body: { waterId, water, reaches: [reach] },
    },
  })
  expect(made.ok()).toBe(true)
  await page.goto('/waters')
  await page.getByRole('button', { name: 'Look at Lower Fork' }).click()
  await page.getByRole('link', { name: /^Larder/ }).click()
  const foods = page.getByRole('table', { name: 'Foods at this moment' })
  await expect(foods).toBeVisible()
  await expect(foods).not.toContainText('Large burrowing mayfly, dun')
  await page.locator('#moment').click()
  await page.getByLabel('Day').fill('2026-12-06')
  await page.getByRole('button', { name: /^And \d+ others/ }).click()
  await expect(foods).toContainText('Large burrowing mayfly, dun')
})
