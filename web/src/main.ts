import './reset.css'
import '@fontsource-variable/figtree/wght.css'
import '@fontsource-variable/fraunces/wght.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import 'vuetify/styles/core'
import App from './App.vue'
import { router } from './router'
import './styles.css'
import { vuetify } from './theme'

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')
