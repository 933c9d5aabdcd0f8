import { provideEveryLanguage } from '../../shared/i18n/everyLanguage'

/** Words are asked for in nearly every test; they are English where none says otherwise. */
provideEveryLanguage()
