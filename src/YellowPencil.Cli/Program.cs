using System.Text;
using YellowPencil.Cli;

Console.OutputEncoding = new UTF8Encoding(encoderShouldEmitUTF8Identifier: false);
return CommandLine.Run(args, Console.In, Console.Out, Console.Error);
