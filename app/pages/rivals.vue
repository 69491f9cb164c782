<template><ShellSoon area="Rivals" /></template>
