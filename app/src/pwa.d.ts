/// <reference types="vite-plugin-pwa/client" />
