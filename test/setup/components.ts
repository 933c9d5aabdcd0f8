import { config } from '@vue/test-utils'
import { createVuetify } from 'vuetify'
import { VBtn, VCard, VDialog, VMenu, VSelect, VTextField } from 'vuetify/components'

/** What the application gives to every component: the design system, and links between pages. */
config.global.plugins = [createVuetify({ components: { VBtn, VCard, VDialog, VMenu, VSelect, VTextField } })]
config.global.stubs = { NuxtLink: { props: ['to'], template: '<a :href="to"><slot /></a>' } }
