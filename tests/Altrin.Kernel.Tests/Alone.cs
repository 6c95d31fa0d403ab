namespace Altrin.Kernel.Tests;

/// <summary>Tests that measure time: they run when no other of this project does.</summary>
[CollectionDefinition(DisableParallelization = true)]
public sealed class Alone;
