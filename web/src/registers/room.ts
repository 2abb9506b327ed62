import type { WebRoom } from '../visit/room.ts';

const listsOf = {
  instruments: 'InstrumentsPage',
  lots: 'LotsPage',
  boxes: 'BoxesPage',
  programmes: 'ProgrammesPage',
  criteria: 'CriteriaPage',
} as const;

export const registersRoom: WebRoom = {
  name: 'registers',
  entrance: { path: '/points', label: 'Points' },
  pages: [
    { path: '/points', page: async () => (await import('./point/PointsPage.tsx')).PointsPage },
    { path: '/points/map', page: async () => (await import('./map/MapPage.tsx')).MapPage },
    { path: '/points/exchange', page: async () => (await import('./exchange/ExchangePage.tsx')).ExchangePage },
    { path: '/points/new', page: async () => (await import('./point/PointForm.tsx')).PointPage },
    { path: '/points/:thing', page: async () => (await import('./point/PointPage.tsx')).PointPage },
    { path: '/points/:thing/look', page: async () => (await import('./scout/ScoutPage.tsx')).ScoutPage },
    { path: '/points/:thing/edit', page: async () => (await import('./point/PointForm.tsx')).PointPage },
    { path: '/labs', page: async () => (await import('./lab/LabsPage.tsx')).LabsPage },
    { path: '/labs/new', page: async () => (await import('./lab/LabForm.tsx')).LabPage },
    { path: '/labs/:thing', page: async () => (await import('./lab/LabForm.tsx')).LabPage },
    ...(
      [
        ['instruments', 'Instrument'],
        ['lots', 'Lot'],
        ['boxes', 'Box'],
        ['programmes', 'Programme'],
        ['criteria', 'Criterion'],
      ] as const
    ).flatMap(([register, one]) => [
      { path: `/${register}`, page: async () => (await import('./gear/Lists.tsx'))[listsOf[register]] },
      { path: `/${register}/new`, page: async () => (await import('./gear/forms.tsx'))[`${one}Page`] },
      { path: `/${register}/:thing`, page: async () => (await import('./gear/forms.tsx'))[`${one}Page`] },
    ]),
    { path: '/limits', page: async () => (await import('./limits/LimitSetsPage.tsx')).LimitSetsPage },
    { path: '/limits/compare', page: async () => (await import('./limits/ComparePage.tsx')).ComparePage },
    { path: '/limits/new', page: async () => (await import('./limits/LimitSetForm.tsx')).LimitSetPage },
    { path: '/limits/:thing', page: async () => (await import('./limits/LimitSetForm.tsx')).LimitSetPage },
    { path: '/people/new', page: async () => (await import('./PersonForm.tsx')).PersonPage },
    { path: '/people/:thing', page: async () => (await import('./PersonForm.tsx')).PersonPage },
  ],
};
