using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace YellowPencil.Data.Migrations
{
    /// <inheritdoc />
    public partial class DecimalComma : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(
                name: "has_decimal_comma",
                table: "AspNetUsers",
                type: "boolean",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "has_decimal_comma",
                table: "AspNetUsers");
        }
    }
}
