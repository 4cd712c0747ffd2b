using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Xunit;
using YellowPencil.Data;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>
/// The names by which the database holds what is one of a few. They stand in the rows of every school: whoever renames one in the code writes a migration that
/// renames it there.
/// </summary>
public sealed class StoredNameTests(PencilApp app) : IClassFixture<PencilApp>
{
    [Fact]
    public void What_the_database_holds_is_not_renamed()
    {
        using var scope = app.Services.CreateScope();
        var model = scope.ServiceProvider.GetRequiredService<PencilContext>().Model;
        var stored = from entity in model.GetEntityTypes()
                     from property in entity.GetProperties()
                     let type = Nullable.GetUnderlyingType(property.ClrType) ?? property.ClrType
                     where type.IsEnum
                     let isText = property.GetProviderClrType() == typeof(string)
                     orderby entity.GetTableName(), property.GetColumnName()
                     select $"{entity.GetTableName()}.{property.GetColumnName()}: {string.Join(' ', Enum.GetValuesAsUnderlyingType(type).Cast<object>().Select(v => isText ? Enum.GetName(type, v) : $"{Enum.GetName(type, v)}={v}"))}";
        string.Join('\n', stored).ShouldBe("""
            AspNetUsers.typing_direction: NotAsked FromLeft FromRight
            classes.word: Rename Borrow Regroup Exchange
            decisions.kind: Accepted Rejected Renamed Noted PutAside Restored Own
            pages.direction: NotAsked FromLeft FromRight
            pages.state: Typing Typed
            plans.word: Rename Borrow Regroup Exchange
            reports.kind: Teacher Family Learner YearEnd
            sessions.overruled: NotSaid FirstThings AnotherModel Mixed OnceMore Material
            slots.day: Sunday=0 Monday=1 Tuesday=2 Wednesday=3 Thursday=4 Friday=5 Saturday=6
            students.word: Rename Borrow Regroup Exchange
            week_proposals.state: Looking Found Taken PutAside
            """);
    }
}
