import { t } from '#shared/i18n'

/** The pages that the main menu leads to. */
export const mainPages = () => [
  {
    to: '/',
    label: t('frame.bench'),
    path: 'M3 9h18M5 9v10M19 9v10M3 5h18',
    at: (p: string) => p === '/' || p.startsWith('/jobs'),
  },
  {
    to: '/sets',
    label: t('frame.sets'),
    path: 'M10.500 4a6.500 6.500 0 1 0 .01 0M15.500 15.500L20 20',
    at: (p: string) => p.startsWith('/sets'),
  },
  {
    to: '/sheets',
    label: t('frame.sheets'),
    path: 'M6 3h9l4 4v14H6zM9 12h7M9 16h7',
    at: (p: string) => p.startsWith('/sheets') || p.startsWith('/rules'),
  },
  {
    to: '/signals',
    label: t('frame.signals'),
    path: 'M3 12h3l2-6 4 13 3-10 2 3h4',
    at: (p: string) => p.startsWith('/signals'),
  },
  {
    to: '/practice',
    label: t('frame.practice'),
    path: 'M12 4a8 8 0 1 0 .01 0M12 12V6',
    at: (p: string) => p.startsWith('/practice'),
  },
  {
    to: '/instruments',
    label: t('frame.instruments'),
    path: 'M4 8h16v9H4zM8 8V5M16 8V5M8 13h4',
    at: (p: string) => p.startsWith('/instruments'),
  },
]
