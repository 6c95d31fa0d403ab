BenchmarkDotNet.Running.BenchmarkSwitcher.FromAssembly(typeof(Altrin.Bench.PipeBenchmarks).Assembly).Run(args);
