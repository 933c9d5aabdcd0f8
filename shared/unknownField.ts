import { t } from '#shared/i18n'

/** Words for a field that nobody asked for. */
export const UNKNOWN_FIELD = ({ unknown }: { unknown?: string }) => t('form.unknownField', { unknown })
