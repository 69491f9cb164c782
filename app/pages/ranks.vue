<template><ShellSoon area="Ranks" /></template>
