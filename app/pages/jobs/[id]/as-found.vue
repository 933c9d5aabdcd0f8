<script setup lang="ts">
import MatrixPhase from '~/features/align/screens/MatrixPhase.vue'
</script>

<template><MatrixPhase phase="as-found" /></template>
